import { Slot } from './slots';
import { Wish } from './wish';
import { kindOfWish } from './wishes';

/** A piece of a wish’s sentence: words, or one of its fields with what stands in it. */
export type WishPiece =
  | { readonly text: string }
  | {
      readonly text: string;
      readonly field: string;
      readonly slot: Slot;
      /** Of a list whose parts stand apart: which part, from 0. */
      readonly index?: number;
    }
  /** A wish inside it, and where it stands: its field, and of several its index from 0. */
  | { readonly text: string; readonly field: string; readonly inner: Wish; readonly index?: number };

type Fields = Readonly<Record<string, unknown>>;

/** What stands in a field that nothing was written into: what holds then. */
const DEFAULTS: Readonly<Record<string, unknown>> = {
  relation: 'mates',
  parts: 2,
  least: 1,
  by: 'ranks',
};

const valueIn = (fields: Fields, field: string): unknown => fields[field] ?? DEFAULTS[field];

const FIELD = /\{(\w+)(?:\.(\d+))?\}/;

/** The sentence without what is between brackets and has nothing in its field, or no. */
const withoutLeftOut = (says: string, fields: Fields): string =>
  says.replace(/\[([^\]]*)\]/g, (_, part: string) =>
    [undefined, false].includes(fields[FIELD.exec(part)?.[1] ?? ''] as undefined) ? '' : part,
  );

const lower = (text: string): string =>
  /^[A-Z][a-z]/.test(text) ? text.charAt(0).toLowerCase() + text.slice(1) : text;

/** One part of a list. */
const partOf = (slot: Slot, field: string, values: readonly unknown[], index: number): WishPiece => {
  const each = slot.each ?? slot;
  return { field, slot: each, index, text: each.say(values[index]) };
};

/** A wish as one sentence, its fields apart from the words between them; what stands inside it is told in the same sentence. */
export const wishPieces = (wish: Wish): readonly WishPiece[] => {
  const kind = kindOfWish(wish);
  const fields = wish as unknown as Fields;
  const slots = kind.fields as unknown as Readonly<Record<string, Slot>>;
  return withoutLeftOut(kind.says(wish as never), fields)
    .split(/(\{[\w.]+\})/)
    .filter((piece) => piece !== '')
    .flatMap((piece, at): readonly WishPiece[] => {
      const found = FIELD.exec(piece);
      if (!found) return [{ text: piece }];
      const field = found[1];
      const index = found.at(2);
      const value = valueIn(fields, field);
      if (index !== undefined)
        return [partOf(slots[field], field, value as readonly unknown[], Number(index))];
      if (field === 'wish') return [{ field, inner: value as Wish, text: lower(sayWish(value as Wish)) }];
      if (field === 'wishes')
        return (value as readonly Wish[]).flatMap((inner, index): readonly WishPiece[] => [
          ...(index === 0 ? [] : [{ text: '; ' }]),
          { field, inner, index, text: lower(sayWish(inner)) },
        ]);
      if (slots[field].kind === 'flag') return [];
      const said = slots[field].say(value);
      return [
        { field, slot: slots[field], text: at === 0 ? said.charAt(0).toUpperCase() + said.slice(1) : said },
      ];
    });
};

/** A wish as one sentence, without a full stop. */
export const sayWish = (wish: Wish): string =>
  wishPieces(wish)
    .map(({ text }) => text)
    .join('');
