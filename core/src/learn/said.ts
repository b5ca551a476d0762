import { Card, looksLike } from '../deck/card';
import { showCard, speakCard } from '../deck/notation';
import { WeaveKind } from '../moves/weave';

/**
 * What is shown, or what is answered: a number from 1, how far off something lies (above 0 too deep, below too high),
 * cards, or a row of weaves.
 */
export type Answer =
  | { readonly kind: 'number'; readonly number: number }
  | { readonly kind: 'off'; readonly off: number }
  | { readonly kind: 'cards'; readonly cards: readonly Card[] }
  | { readonly kind: 'weaves'; readonly weaves: readonly WeaveKind[] };

export const saidNumber = (number: number): Answer => ({ kind: 'number', number });
export const saidOff = (off: number): Answer => ({ kind: 'off', off });
export const saidCards = (...cards: readonly Card[]): Answer => ({ kind: 'cards', cards });
export const saidWeaves = (weaves: readonly WeaveKind[]): Answer => ({ kind: 'weaves', weaves });

/** Whether two things that are said are the same; the two copies of a card look the same. */
export const sameSaid = (a: Answer, b: Answer): boolean => {
  if (a.kind === 'cards' && b.kind === 'cards')
    return (
      a.cards.length === b.cards.length && a.cards.every((card, index) => looksLike(card, b.cards[index]))
    );
  return a.kind === b.kind && showSaid(a) === showSaid(b);
};

/** What is said, for the eye: `20`, `3 too high`, `7♦`, `3♥ 9♦`, `in out in`. */
export const showSaid = (said: Answer): string => {
  switch (said.kind) {
    case 'number':
      return said.number.toString();
    case 'off':
      return said.off === 0 ? '0' : `${Math.abs(said.off)} too ${said.off > 0 ? 'deep' : 'high'}`;
    case 'cards':
      return said.cards.map(showCard).join(' ');
    case 'weaves':
      return said.weaves.length === 0 ? 'none' : said.weaves.join(' ');
  }
};

/** What is said, for the ear: `20`, `seven of diamonds`, `three of hearts and nine of diamonds`. */
export const speakSaid = (said: Answer): string =>
  said.kind === 'cards' ? said.cards.map(speakCard).join(' and ') : showSaid(said);
