import { Line } from '../data/kind';
import { Way, WAYS } from '../reckon/ways';

/** A room that exists, the key that opens it (its number among the seven) and its address. */
export interface Room {
  readonly name: string;
  readonly key: string;
  readonly path: string;
  /** What undo takes back while it is open. */
  readonly line: Line;
  /** Its ways in, where it has several: the ask line opens each by its words. */
  readonly ways?: readonly Way[];
}

export const ROOMS: readonly Room[] = [
  { name: 'Arrange', key: '1', path: 'arrange', line: 'table' },
  { name: 'Reckon', key: '3', path: 'reckon', line: 'table', ways: WAYS },
];

/** The line of undo that an address belongs to. */
export const lineOf = (url: string): Line =>
  ROOMS.find(({ path }) => url.split(/[/?#]/)[1] === path)?.line ?? 'table';
