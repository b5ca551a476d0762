import { BreakpointObserver } from '@angular/cdk/layout';
import { afterNextRender, DOCUMENT, effect, inject, Injector, untracked } from '@angular/core';
import { Order } from '@enumeron/core/deck';

/** How long the cards take to their new places, in milliseconds. */
const LONG = 280;

/** What moves in a slot: the card and its stack number, not the place above it. */
const MOVING = ':not(:first-child)';

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
    for (const part of slot.querySelectorAll<HTMLElement>(`:scope > ${MOVING}`))
      part.animate(
        [{ transform: `translate(${x.toString()}px, ${y.toString()}px)` }, { transform: 'none' }],
        {
          ...{ duration: LONG, easing: 'ease-in-out' },
        },
      );
};

/**
 * Weaves the rail: whenever an order gives way to another one, its cards are seen going there; not where the system
 * asks for less motion. Call it in a component's constructor.
 *
 * @param shown what the rail shows; read again whenever a signal in it changes.
 */
export const weaveRail = (shown: () => Order): void => {
  const [document, injector] = [inject(DOCUMENT), inject(Injector)];
  const media = inject(BreakpointObserver);
  let before: Order | undefined;
  effect(() => {
    const [was, now] = [before, shown()];
    before = now;
    if (!was || was === now || media.isMatched('(prefers-reduced-motion: reduce)')) return;
    untracked(() => afterNextRender({ read: () => moveCards(document, was, now) }, { injector }));
  });
};
