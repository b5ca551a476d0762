import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { lookNamed } from '../cardClass';
import { lookIn, showAt } from '../cases';
import { bitsOf } from '../find/bits';
import { cardsSo } from '../find/terms/cards';
import { never } from '../find/terms/single';
import { WishKind, wrong } from '../kind';
import { CARD_SLOT, FLAG_SLOT, maybe, number } from '../slots';

const DISTANCE = maybe(number(-LARGEST_PACK, LARGEST_PACK));

/** A card lies so far before another; below 0, the other lies above. */
export const BEFORE: WishKind<'before'> = {
  begins: 'a card before another',
  says: ({ exactly, least, most }) => {
    const far =
      exactly !== undefined
        ? ' exactly {exactly}'
        : least !== undefined && most !== undefined
          ? ' {least} to {most}'
          : `${least === undefined ? '' : ' at least {least}'}${most === undefined ? '' : ' at most {most}'}`;
    return `{card} lies${far === '' ? ' somewhere' : far} before {other}[{round}, going round]`;
  },
  fields: {
    card: CARD_SLOT,
    other: CARD_SLOT,
    exactly: DISTANCE,
    least: DISTANCE,
    most: DISTANCE,
    round: maybe(FLAG_SLOT),
  },
  begin: { kind: 'before', card: 'AS', other: 'KH', exactly: 1 },
  whyNot: ({ exactly, least, most }) => {
    if (exactly !== undefined && (least !== undefined || most !== undefined))
      return wrong('It says how far exactly and how far at least.', 'Say one of them.');
    if (exactly === 0) return wrong('Two cards do not lie at one place.', 'Write a number but 0.');
    return most === undefined || (least ?? 1) <= most
      ? undefined
      : wrong(`At least ${least ?? 1} is more than at most ${most}.`, 'Change one of them.');
  },
  cases: (laid, { card, other, exactly, least = 1, most = laid.length, round }) => {
    const [low, high] = exactly === undefined ? [least, most] : [exactly, exactly];
    const size = laid.length;
    const at = (name: string): number[] =>
      laid.flatMap((_, index) => (lookIn(laid, index) === lookNamed(name) ? [index] : []));
    const pairs = at(card).flatMap((one) => at(other).flatMap((two) => (one === two ? [] : [[one, two]])));
    const far = ([one, two]: readonly number[]): number => (round ? mod(two - one, size) : two - one);
    const found = pairs.find((each) => far(each) >= low && far(each) <= high);
    const seen = found ?? pairs.at(0) ?? [];
    return [
      {
        ok: found !== undefined,
        says:
          seen.length === 0 ? 'not both are there' : `${showAt(laid, seen)}: ${far(seen)}`.replace('-', '−'),
        places: seen.map((index) => index + 1),
      },
    ];
  },
  terms: ({ card, other, exactly, least = 1, most = LARGEST_PACK, round }, { faces, view }) => {
    const [low, high] = exactly === undefined ? [least, most] : [exactly, exactly];
    const [a, b] = [card, other].map((name) => faces.byLook[lookNamed(name)]);
    if (a < 0 || b < 0 || (a === b && faces.copies[a] === 1))
      return [never('Not both cards are in the pack.')];
    const table = new Array<{ readonly lo: number; readonly hi: number }>(view.length);
    view.forEach((place, index) => {
      table[place] = bitsOf(
        view.filter((_, to) => {
          const far = round ? mod(to - index, view.length) : to - index;
          return to !== index && far >= low && far <= high;
        }),
      );
    });
    return [cardsSo(faces, a, b, table, table.map(({ lo, hi }) => `${lo},${hi}`).join(' '))];
  },
};
