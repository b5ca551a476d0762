import { Problem } from '../deck/problem';
import { Judging, WishCase } from './cases';
import { Site, Term } from './find/term';
import { Laid } from './look';
import { Slot } from './slots';
import { Wish, WishFields, WishName, WishOf } from './wish';

/** How the terms of a wish inside another are made. */
export type Inside = (wish: Wish, site: Site) => readonly Term[];

/** Everything that is known of one kind of wish: a kind is one file, and a row in `wishes.ts`. */
export interface WishKind<Kind extends WishName> {
  /** The first words of its sentence, by which it is found. */
  readonly begins: string;
  /**
   * Its sentence: words, `{field}` for what stands in a field, and in brackets what is left out where its field is empty
   * or no: `No more than {most} of a {of} in a row[{round}, going round]`.
   */
  says(wish: WishOf<Kind>): string;
  /** What its fields hold. */
  readonly fields: { readonly [Field in keyof Required<WishFields[Kind]>]: Slot };
  /** What one begins with. */
  readonly begin: WishOf<Kind>;
  /** What is wrong with fields that are each right alone, for a pack of `size` cards. */
  whyNot?(wish: WishOf<Kind>, size: number): Problem | undefined;
  /** Every case, and whether it is right. */
  cases(laid: Laid, wish: WishOf<Kind>, judging: Judging): readonly WishCase[];
  /** The same as demands on places, for the search. It shares with `cases` what a field means, and no judgement. */
  terms(wish: WishOf<Kind>, site: Site, inside: Inside): readonly Term[];
}

export const wrong = (what: string, remedy: string): Problem => ({ what, remedy });
