import { mod } from '../../deck/mod';
import { speakCard } from '../../deck/notation';
import { lookNamed } from '../cardClass';
import { lookIn, showAt } from '../cases';
import { bitsOf } from '../find/bits';
import { facesWhere } from '../find/faces';
import { lies } from '../find/sites';
import { cardsSo } from '../find/terms/cards';
import { never, one } from '../find/terms/single';
import { Site, Term } from '../find/term';
import { WishKind, wrong } from '../kind';
import { Look, PLAIN, showLook } from '../look';
import { CARD_SLOT, CARDS, choice, FLAG_SLOT, LETTERS, maybe } from '../slots';
import { WishOf } from '../wish';

/** How many letters the English name of a card has; 0 where nothing says it. */
const lettersOf = ({ of = true, letters = {} }: WishOf<'spells'>, look: Look): number => {
  const told = Object.entries(letters).find(([card]) => lookNamed(card) === look);
  if (told) return told[1];
  if (look < 0 || look === PLAIN) return 0;
  const words = look >= 52 ? ['joker'] : speakCard(look).split(' ');
  return words.filter((word) => of || word !== 'of').join('').length;
};

/** A card for each letter of a card’s name, from the top or from the card itself. */
export const SPELLS: WishKind<'spells'> = {
  begins: 'it spells',
  says: ({ from, ends, of }) => {
    const comes = `comes ${ends === 'behind' ? 'right after' : 'on'} the last letter${of === false ? ', without “of”' : ''}`;
    return from === 'itself'
      ? `Spelt from {cards} on, {target} ${comes}`
      : `Spelt from the top, {cards} ${comes}`;
  },
  fields: {
    cards: CARDS,
    of: maybe(FLAG_SLOT),
    from: maybe(choice('top', 'itself')),
    ends: maybe(choice('on', 'behind')),
    target: maybe(CARD_SLOT),
    letters: maybe(LETTERS),
  },
  begin: { kind: 'spells', cards: ['QH'] },
  whyNot: ({ from = 'top', target }) => {
    if (from === 'itself' && target === undefined)
      return wrong('Which card it ends on is missing.', 'Name it.');
    return from === 'top' && target !== undefined
      ? wrong('From the top it ends on the card itself.', 'Leave the target out.')
      : undefined;
  },
  cases: (laid, wish) =>
    wish.cards.map((card) => {
      const look = lookNamed(card);
      const letters = lettersOf(wish, look);
      const steps = letters + (wish.ends === 'behind' ? 1 : 0);
      const all = laid.flatMap((_, index) => (lookIn(laid, index) === look ? [index] : []));
      const ends = (index: number): number =>
        wish.from === 'itself' ? mod(index + steps, laid.length) : steps - 1;
      const isRight = (index: number): boolean =>
        wish.from === 'itself'
          ? lookIn(laid, ends(index)) === lookNamed(wish.target ?? '')
          : index === ends(index);
      const right = letters > 0 ? all.find(isRight) : undefined;
      const from = right ?? all.at(0) ?? 0;
      return {
        ok: right !== undefined,
        says: `${look < 0 ? card : showLook(look)}, ${letters}: ${showAt(laid, [ends(from)])}`,
        places: [...new Set([from, ends(from)])]
          .filter((index) => index < laid.length)
          .map((index) => index + 1),
      };
    }),
  terms: (wish, site) =>
    wish.cards.map((card) => {
      const look = lookNamed(card);
      const letters = lettersOf(wish, look);
      if (letters === 0) return never('A card has no name to spell.');
      const steps = letters + (wish.ends === 'behind' ? 1 : 0);
      return wish.from === 'itself'
        ? endsOn(site, look, lookNamed(wish.target ?? ''), steps)
        : lies(site, steps - 1, (each) => each === look);
    }),
};

/** From a card so many places on, going round, lies another. */
const endsOn = ({ faces, view }: Site, look: Look, target: Look, steps: number): Term => {
  const [a, b] = [faces.byLook[look], target < 0 ? -1 : faces.byLook[target]];
  if (a < 0 || b < 0) return never('Not all of these cards are in the pack.');
  const far = mod(steps, view.length);
  if (far === 0 && a !== b) return never('The name leads back to the card itself.');
  // It comes back to the card itself.
  if (far === 0)
    return one(
      view[0],
      facesWhere(faces, () => true),
    );
  if (a === b && faces.copies[a] === 1) return never('The card would lie at two places.');
  const table = new Array<{ readonly lo: number; readonly hi: number }>(view.length);
  view.forEach((place, index) => (table[place] = bitsOf([view[mod(index + far, view.length)]])));
  return cardsSo(faces, a, b, table, `on ${far} ${view.join(' ')}`);
};
