import { lookIn } from '../cases';
import { byFace } from '../find/faces';
import { balanced, eachBetween } from '../find/terms/balanced';
import { never } from '../find/terms/single';
import { WishKind } from '../kind';
import { rankAt, valueAt } from '../look';
import { choice, maybe, number } from '../slots';
import { LARGEST_PACK } from '../../deck/card';
import { speakSuit } from '../../deck/notation';
import { Suit } from '../../deck/card';

/** What is counted in each part, by what it is balanced by: its name, and the worth of a card. */
const COUNTED: Readonly<
  Record<'ranks' | 'colours' | 'suits', readonly (readonly [string, (look: number) => number])[]>
> = {
  ranks: [['ranks', rankAt]],
  colours: (['black', 'red'] as const).map((name, value) => [
    name,
    (look) => Number(valueAt('colour', look) === value),
  ]),
  suits: ([0, 1, 2, 3] as const).map((suit: Suit) => [
    speakSuit(suit),
    (look) => Number(valueAt('suit', look) === suit),
  ]),
};

/** Equal packets from the top have about as much of everything. */
export const BALANCED: WishKind<'balanced'> = {
  begins: 'balanced',
  says: ({ within = 0 }) =>
    `{by} are balanced in {parts} equal packets${within === 0 ? '' : ', within {within}'}`,
  fields: {
    by: choice('ranks', 'colours', 'suits'),
    parts: maybe(number(1, LARGEST_PACK)),
    within: maybe(number(0, 999)),
  },
  begin: { kind: 'balanced', by: 'colours', parts: 2 },
  cases: (laid, { by, parts = 2, within = 0 }) => {
    const size = Math.floor(laid.length / parts);
    return COUNTED[by].map(([name, worth]) => {
      const totals = Array.from({ length: parts }, (_, packet) =>
        laid
          .slice(packet * size, (packet + 1) * size)
          .reduce((sum, _card, step) => sum + worth(lookIn(laid, packet * size + step) ?? -1), 0),
      );
      return {
        ok: Math.max(...totals) - Math.min(...totals) <= within,
        says: `${name}: ${totals.join(', ')}`,
        places: [],
      };
    });
  },
  terms: ({ by, parts = 2, within = 0 }, { faces, view }) => {
    const size = Math.floor(view.length / parts);
    if (size === 0) return [];
    const packets = Array.from({ length: parts }, (_, packet) =>
      view.slice(packet * size, (packet + 1) * size),
    );
    return COUNTED[by].map(([name]) => {
      const worth = (look: number): number => {
        if (by === 'ranks') return rankAt(look);
        const value = valueAt(by === 'suits' ? 'suit' : 'colour', look);
        return Number(
          by === 'suits'
            ? value >= 0 && speakSuit(value as Suit) === name
            : value === (name === 'red' ? 1 : 0),
        );
      };
      if (size * parts < view.length) return balanced(packets, byFace(faces, worth), within, name);
      const total = faces.looks.reduce((sum, look, face) => sum + worth(look) * faces.copies[face], 0);
      const [least, most] = eachBetween(total, parts, within);
      if (least > Math.floor(total / parts))
        return never(`${total} of the ${name} cannot be laid in ${parts} packets so evenly.`);
      return balanced(packets, byFace(faces, worth), within, name, [least, most]);
    });
  },
};
