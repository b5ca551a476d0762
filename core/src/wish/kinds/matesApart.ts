import { LARGEST_PACK } from '../../deck/card';
import { mod } from '../../deck/mod';
import { randomInt } from '../../deck/rng';
import { lookIn, showAt } from '../cases';
import { Bits, bitsOf } from '../find/bits';
import { Faces } from '../find/faces';
import { cardsSo } from '../find/terms/cards';
import { pair, relationTable } from '../find/terms/pair';
import { never } from '../find/terms/single';
import { whole } from '../find/terms/whole';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { mateAt } from '../look';
import { FLAG_SLOT, maybe, number } from '../slots';

/** Each card whose mate is in the pack has a mate so far before or behind it. */
export const MATES_APART: WishKind<'mates apart'> = {
  begins: 'mates apart',
  says: () => 'Mates lie {distance} apart[{round}, going round]',
  fields: { distance: number(1, LARGEST_PACK), round: maybe(FLAG_SLOT) },
  begin: { kind: 'mates apart', distance: 26, round: true },
  cases: (laid, { distance, round }) => {
    const size = laid.length;
    const look = (index: number): number => lookIn(laid, round ? mod(index, size) : index) ?? -2;
    const all = laid.map((_, index) => look(index));
    return laid.flatMap((_, index) => {
      const mate = mateAt(all[index]);
      if (mate < 0 || !all.includes(mate)) return [];
      const there = [index - distance, index + distance].filter((each) => look(each) === mate);
      const seen = there.length > 0 ? there.slice(0, 1) : [all.indexOf(mate)];
      return [
        {
          ok: there.length > 0,
          says: showAt(laid, [index, ...seen.map((each) => mod(each, size))]),
          places: [index, ...seen.map((each) => mod(each, size))].map((each) => each + 1),
        },
      ];
    });
  },
  terms: ({ distance, round }, site) => {
    const { faces, view } = site;
    const near = nearOf(view.length, distance, round === true);
    const mates = faces.looks.map((look) => (mateAt(look) < 0 ? -1 : faces.byLook[mateAt(look)]));
    const isSimple = faces.copies.every(
      (copies, face) => mates[face] < 0 || (copies === 1 && faces.copies[mates[face]] === 1),
    );
    if (!isSimple) return [eachHasMate(site, near, mates)];
    const table = new Array<Bits>(view.length);
    view.forEach((place, index) => (table[place] = bitsOf(near[index].map((each) => view[each]))));
    const key = table.map(({ lo, hi }) => `${lo},${hi}`).join(' ');
    return [
      ...mates.flatMap((mate, face) => (mate > face ? [cardsSo(faces, face, mate, table, key)] : [])),
      ...(allPaired(faces, mates) ? forcedPairs(site, near) : []),
    ];
  },
};

/** By index: those so far before and behind it. */
const nearOf = (size: number, distance: number, round: boolean): readonly (readonly number[])[] =>
  Array.from({ length: size }, (_, index) => {
    const both = [index - distance, index + distance];
    const there = round
      ? both.map((each) => mod(each, size))
      : both.filter((each) => each >= 0 && each < size);
    return [...new Set(there)].filter((each) => each !== index);
  });

const allPaired = ({ looks }: Faces, mates: readonly number[]): boolean =>
  looks.every((_, face) => mates[face] >= 0);

/**
 * Where every card has its mate, places so far apart are paired off from the ends of their chains; what is left goes in
 * rings, and a ring of an odd number of places cannot be paired off.
 */
const forcedPairs = ({ view, faces }: Site, near: readonly (readonly number[])[]): readonly Term[] => {
  const terms: Term[] = [];
  const open = new Set(view.keys());
  for (;;) {
    const end = [...open].find((index) => near[index].filter((each) => open.has(each)).length < 2);
    if (end === undefined) break;
    const other = near[end].find((each) => open.has(each));
    if (other === undefined) return [never('Some place has none so far away for the mate of its card.')];
    terms.push(pair(view[end], view[other], relationTable(faces, 'mates')));
    open.delete(end);
    open.delete(other);
  }
  while (open.size > 0) {
    const [start] = open;
    const ring: number[] = [];
    for (let at: number | undefined = start; at !== undefined; at = near[at].find((each) => open.has(each))) {
      ring.push(at);
      open.delete(at);
    }
    if (ring.length % 2 === 1)
      return [
        never(
          `Going on so far each time leads through ${ring.length} places and back, an odd number: mates cannot be paired off there.`,
        ),
      ];
  }
  return terms;
};

/** Where cards come twice: every one is looked at. */
const eachHasMate = (
  { faces, view }: Site,
  near: readonly (readonly number[])[],
  mates: readonly number[],
): Term => {
  const isBroken = (at: Uint8Array, index: number): boolean => {
    const mate = mates[at[view[index]]];
    return mate >= 0 && !near[index].some((each) => at[view[each]] === mate);
  };
  const key = `mates ${near.map((row) => row.map((each) => view[each]).join(' ')).join(',')} ${view.join(' ')}`;
  return {
    ...whole(faces, key, ({ at }) => view.reduce((sum, _, index) => sum + Number(isBroken(at, index)), 0)),
    suspect: ({ at }, rng) => {
      const broken = [...view.keys()].filter((index) => isBroken(at, index));
      return view[broken[randomInt(rng, broken.length)]];
    },
    // A face lies where its mate may lie near by.
    narrow: (domains) =>
      view.every((place, index) =>
        mates.every(
          (mate, face) =>
            mate < 0 ||
            !domains.may(place, face) ||
            near[index].some((each) => domains.may(view[each], mate)) ||
            domains.exclude(place, face),
        ),
      ),
  };
};
