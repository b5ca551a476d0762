import { BreakpointObserver } from '@angular/cdk/layout';
import { afterRenderEffect, inject } from '@angular/core';

/** How long the cards take to their new places, in milliseconds. */
const LONG = 260;

/** Where each card stands, by its number; of two that are alike neither, since nobody can say which went where. */
const placesIn = (host: HTMLElement): ReadonlyMap<string, { readonly x: number; readonly y: number }> => {
  const found = new Map<string, { readonly x: number; readonly y: number }>();
  const twice = new Set<string>();
  for (const card of host.querySelectorAll<HTMLElement>('[data-card]')) {
    const id = card.dataset['card'] ?? '';
    if (found.has(id)) twice.add(id);
    found.set(id, { x: card.offsetLeft, y: card.offsetTop });
  }
  twice.forEach((id) => found.delete(id));
  return found;
};

/**
 * Has cards go to their new places when the step is another one next to it; not where the system asks for less motion.
 * Call it in a component's constructor.
 */
export const moveCards = (host: HTMLElement, step: () => number): void => {
  const media = inject(BreakpointObserver);
  let before: { readonly step: number; readonly places: ReturnType<typeof placesIn> } | undefined;
  afterRenderEffect({
    read: () => {
      const [now, was] = [step(), before];
      const places = placesIn(host);
      before = { step: now, places };
      if (!was || Math.abs(was.step - now) !== 1 || media.isMatched('(prefers-reduced-motion: reduce)'))
        return;
      for (const card of host.querySelectorAll<HTMLElement>('[data-card]')) {
        const [from, to] = [
          was.places.get(card.dataset['card'] ?? ''),
          places.get(card.dataset['card'] ?? ''),
        ];
        if (!from || !to || (Math.abs(from.x - to.x) < 2 && Math.abs(from.y - to.y) < 2)) continue;
        card.animate(
          [
            { transform: `translate(${(from.x - to.x).toString()}px, ${(from.y - to.y).toString()}px)` },
            { transform: 'none' },
          ],
          { duration: LONG, easing: 'ease-in-out' },
        );
      }
    },
  });
};
