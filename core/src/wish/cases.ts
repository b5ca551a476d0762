import { mod } from '../deck/mod';
import { Laid, Look, lookOf, showLook } from './look';
import { Places, Span, Wish } from './wish';

/** One case of a wish: whether it is right, what is seen, and the places (from 1) that it is about, as the pack then lies. */
export interface WishCase {
  readonly ok: boolean;
  readonly says: string;
  readonly places: readonly number[];
  /** How many cards were cut, where it is judged behind a cut. */
  readonly cut?: number;
}

/** How the wishes inside others are judged. */
export interface Judging {
  /** How many cards the nearest cut around it took. */
  readonly cut: number;
  /** The cases of a wish inside this one. */
  judge(laid: Laid, wish: Wish, cut: number): readonly WishCase[];
}

/** What the card at an index from 0 looks like; undefined beyond the pack. */
export const lookIn = (laid: Laid, index: number): Look | undefined =>
  index >= 0 && index < laid.length ? lookOf(laid[index]) : undefined;

/** The indices from 0 of places; a span that names no end goes to that of the pack. */
export const indicesOf = (places: Places, size: number): readonly number[] => {
  if (!('from' in places || 'to' in places) && Array.isArray(places))
    return (places as readonly number[]).map((place) => place - 1);
  const { from = 1, to = size } = places as Span;
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, step) => from - 1 + step);
};

/**
 * Every row of so many places one behind the other: going round the whole pack, or inside a span. Indices from 0; those
 * of a span that goes beyond the pack are not there.
 */
export const rowsOf = (
  { round, from = 1, to }: Span & { readonly round?: boolean },
  size: number,
  length: number,
): readonly (readonly number[])[] => {
  const last = to ?? size;
  const count = round ? size : Math.max(0, last - from + 2 - length);
  return Array.from({ length: count }, (_, start) =>
    Array.from({ length }, (_each, step) => (round ? mod(start + step, size) : from - 1 + start + step)),
  );
};

/** What lies at these indices, for people. */
export const showAt = (laid: Laid, indices: readonly number[]): string =>
  indices
    .map((index) => {
      const look = lookIn(laid, index);
      return look === undefined ? 'no card' : showLook(look);
    })
    .join(' ');

/** A case about what lies at these indices; right only where all of them are there. */
export const caseAt = (
  laid: Laid,
  indices: readonly number[],
  right: (looks: readonly Look[]) => boolean,
  more = '',
): WishCase => {
  const looks = indices.flatMap((index) => lookIn(laid, index) ?? []);
  return {
    ok: looks.length === indices.length && right(looks),
    says: `${showAt(laid, indices)}${more}`,
    places: indices.map((index) => index + 1),
  };
};
