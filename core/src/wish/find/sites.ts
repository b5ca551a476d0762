import { mod } from '../../deck/mod';
import { Look } from '../look';
import { Places, Span } from '../wish';
import { bit, Bits, NO_BITS } from './bits';
import { facesWhere } from './faces';
import { never, one } from './terms/single';
import { Site, Term } from './term';

/** The places in the order of indices in the pack as it then lies; undefined where one is beyond the pack. */
export const placesAt = ({ view }: Site, indices: readonly number[]): readonly number[] | undefined => {
  const places = indices.map((index) => view.at(index) ?? -1);
  return indices.some((index) => index < 0 || index >= view.length) ? undefined : places;
};

/** What a demand on these places is made of; nothing meets it where one is beyond the pack. */
export const onPlaces = (
  site: Site,
  indices: readonly number[],
  make: (places: readonly number[]) => Term,
): Term => {
  const places = placesAt(site, indices);
  return places
    ? make(places)
    : never(`The pack has ${site.view.length} cards, and place ${Math.max(...indices) + 1} is asked for.`);
};

/** Every row of so many neighbouring indices, going round or inside a span. */
export const rows = (
  { view: { length: size } }: Site,
  { round, from = 1, to = size }: Span & { readonly round?: boolean },
  length: number,
): readonly (readonly number[])[] => {
  const all: number[][] = [];
  const [first, last] = round ? [0, size - 1] : [from - 1, to - length];
  for (let start = first; start <= last; start++) {
    const row: number[] = [];
    for (let step = 0; step < length; step++) row.push(round ? mod(start + step, size) : start + step);
    all.push(row);
  }
  return all;
};

/** The indices of places; those that a span names and the pack does not have stay among them. */
export const indicesIn = ({ view: { length: size } }: Site, places: Places): readonly number[] => {
  if (Array.isArray(places)) return (places as readonly number[]).map((place) => place - 1);
  const { from = 1, to = size } = places as Span;
  const all: number[] = [];
  for (let place = from; place <= to; place++) all.push(place - 1);
  return all;
};

/** The face of a look as a set: empty where the pack has none. */
export const faceBits = ({ faces }: Site, look: Look): Bits => {
  const face = look < 0 ? -1 : faces.byLook[look];
  return face < 0 ? NO_BITS : bit(face);
};

/** The card at an index looks like one of these. */
export const lies = (site: Site, index: number, holds: (look: Look) => boolean): Term =>
  onPlaces(site, [index], ([place]) => {
    const faces = facesWhere(site.faces, holds);
    return faces.lo === 0 && faces.hi === 0
      ? never(`The pack has no card that may lie at ${index + 1}.`)
      : one(place, faces);
  });
