import { BreakpointObserver } from '@angular/cdk/layout';
import { afterNextRender, DOCUMENT, effect, inject, Injector, untracked } from '@angular/core';
import { Order } from '@enumeron/core/deck';

/** How long the cards take to their new places, in milliseconds. */
const LONG = 280;

/** What moves in a slot: the card alone, so that the browser has half as many parts to carry. */
const MOVING = '.face';

/** Has the cards of the rail go from where they lay to where they lie. */
const moveCards = (document: Document, before: Order, after: Order): void => {
  const slots = [...document.querySelectorAll<HTMLElement>('en-rail [data-cell]')];
  if (slots.length !== after.length || before.length !== after.length) return;
  const from = new Map(before.map((card, index) => [card, index]));
  const moves = after.map((card, index) => {
    const [was, is] = [slots[from.get(card) ?? index], slots[index]];
    return { slot: is, x: was.offsetLeft - is.offsetLeft, y: was.offsetTop - is.offsetTop };
  });
  for (const { slot, x, y } of moves)
    for (const part of slot.querySelectorAll<HTMLElement>(MOVING))
      part.animate(
        [{ transform: `translate(${x.toString()}px, ${y.toString()}px)` }, { transform: 'none' }],
        {
          ...{ duration: LONG, easing: 'ease-in-out' },
        },
      );
};

/** What the rail shows, and the row that it comes from. */
export interface Woven {
  readonly row: unknown;
  readonly order: Order;
}

/**
 * Weaves the rail: when one steps through a row, its cards are seen going to their new places; not while the row itself
 * changes, which is to be answered at once, and not where the system asks for less motion. Call it in a component's
 * constructor.
 *
 * @param shown read again whenever a signal in it changes.
 */
export const weaveRail = (shown: () => Woven): void => {
  const [document, injector, media] = [inject(DOCUMENT), inject(Injector), inject(BreakpointObserver)];
  let before: Woven | undefined;
  effect(() => {
    const [was, now] = [before, shown()];
    before = now;
    if (!was || was.row !== now.row || was.order === now.order) return;
    if (media.isMatched('(prefers-reduced-motion: reduce)')) return;
    untracked(() => afterNextRender({ read: () => moveCards(document, was.order, now.order) }, { injector }));
  });
};
