import { distance } from 'fastest-levenshtein';
import { PLACES } from '../rooms';

/** A page by its whole address, and what it is called. */
export interface Addressed {
  readonly address: string;
  readonly name: string;
}

const ALL: readonly Addressed[] = PLACES.flatMap((place) =>
  [...place.pages, ...(place.ways ?? [])].flatMap(({ path, name }) =>
    path.includes(':') || (name === undefined && path !== '')
      ? []
      : [
          {
            address: ['', place.path, path].filter((part, at) => at === 0 || part !== '').join('/'),
            name: name ?? place.name,
          },
        ],
  ),
);

/** So many are offered. */
const FEW = 3;

/** The pages whose addresses, or last parts of them, are the most like an address, the nearest first. */
export const nearestPages = (address: string): readonly Addressed[] => {
  const wanted = address.toLowerCase();
  const last = (path: string): string => path.split('/').at(-1) ?? '';
  const far = (page: Addressed): number =>
    Math.min(distance(wanted, page.address), 1 + distance(last(wanted), last(page.address)));
  const once = [...new Map(ALL.map((page) => [page.address, page])).values()];
  return once.sort((a, b) => far(a) - far(b)).slice(0, FEW);
};
