import { Move } from '../moves/move';
import { Procedure } from '../procedure/procedure';
import { Relation, Value } from './look';

/** A suit as it is written in a wish. */
export type SuitLetter = 'C' | 'D' | 'H' | 'S';

/** Which cards are meant: all that is told must fit; without anything it is any card. */
export interface CardClass {
  readonly cards?: readonly string[];
  readonly suits?: readonly SuitLetter[];
  readonly ranks?: readonly number[];
  readonly colour?: 'red' | 'black';
}

/** Only inside these places, from 1, both ends in; either may be left out. */
export interface Span {
  readonly from?: number;
  readonly to?: number;
}

/** Places from 1, none twice, or from one to another. */
export type Places = readonly number[] | Span;

/** Whether places go on from the face to the top. */
interface Round {
  readonly round?: boolean;
}

export type Trait = 'rank' | 'suit' | 'colour';

export const HANDS = [
  ...['flush', 'straight', 'straight flush', 'four of a kind', 'full house'],
  ...['three of a kind', 'two pairs', 'pair', 'one colour'],
] as const;
export type Hand =
  | 'flush'
  | 'straight'
  | 'straight flush'
  | 'four of a kind'
  | 'full house'
  | 'three of a kind'
  | 'two pairs'
  | 'pair'
  | 'one colour';

export type RuleName = 'rotating' | 'rank row' | 'mirrored halves' | 'palindrome';

/** How many cards are cut: every count, from one to another, or these. */
export type Cuts = 'every' | { readonly from: number; readonly to: number } | readonly number[];

/** The fields of each kind of wish. Cards are written as in procedures; places count from 1, the top first. */
export interface WishFields {
  'cards at': { readonly cards: readonly string[]; readonly places: readonly number[] };
  'cards among': {
    readonly of: CardClass;
    readonly places: Places;
    readonly least?: number;
    readonly most?: number;
  };
  'side by side': Round & { readonly cards: readonly string[]; readonly inOrder?: boolean };
  before: Round & {
    readonly card: string;
    readonly other: string;
    readonly exactly?: number;
    readonly least?: number;
    readonly most?: number;
  };
  spaced: Round & { readonly of: CardClass; readonly least: number };
  'mates apart': Round & { readonly distance: number };
  mirrored: Span & { readonly relation?: Relation };
  neighbours: Round & Span & { readonly relation: Relation; readonly distance?: number };
  runs: Round & Span & { readonly of: Trait; readonly most: number };
  'colours alternate': Round & Span;
  'suits rotate': Round & Span & { readonly suits?: readonly SuitLetter[] };
  'ranks step': Round & Span & { readonly step: number };
  'ranks add up': {
    readonly places: Places;
    readonly makes: number | 'cut';
    readonly more?: number;
    readonly by?: 'ranks' | 'digits';
  };
  'card made of two': {
    readonly rankFrom: number;
    readonly suitFrom: number;
    readonly at?: number;
    readonly is?: string;
  };
  blocks: Round & { readonly by: Trait };
  packets: {
    readonly size: number;
    readonly by: Trait | 'mates';
    readonly all: 'alike' | 'different';
  };
  hand: { readonly players: number; readonly cards: number; readonly player: number; readonly is: Hand };
  spells: {
    readonly cards: readonly string[];
    readonly of?: boolean;
    readonly from?: 'top' | 'itself';
    readonly ends?: 'on' | 'behind';
    readonly target?: string;
    readonly letters?: Readonly<Record<string, number>>;
  };
  balanced: {
    readonly by: 'ranks' | 'colours' | 'suits';
    readonly parts?: number;
    readonly within?: number;
  };
  tells: { readonly next: number; readonly by: Value };
  'looks shuffled': { readonly most: number };
  'by rule': { readonly rule: RuleName };
  near: { readonly order: readonly (string | null)[]; readonly most: number };
  procedure: {
    readonly procedure: Procedure;
    readonly packet: string;
    readonly least?: number;
    readonly outs?: boolean;
  };
  'at cuts': { readonly cuts: Cuts; readonly wish: Wish };
  after: { readonly moves: readonly Move[]; readonly wish: Wish };
  'some of': { readonly wishes: readonly Wish[]; readonly least?: number };
}

export type WishName = keyof WishFields;

export type WishOf<Kind extends WishName> = { readonly kind: Kind } & WishFields[Kind];

/** One thing that an order must do. */
export type Wish = { [Kind in WishName]: WishOf<Kind> }[WishName];

/** A wish of a list: a must, or with a weight above 0 what one would rather have. */
export type ListedWish = Wish & { readonly weight?: number };

/** A pack, what its order must do, and the order from which as few places as possible are to change. */
export interface WishList {
  readonly format?: 'enumeron wishes';
  readonly version?: 1;
  readonly name?: string;
  readonly pack: readonly string[];
  readonly start?: readonly (string | null)[];
  readonly wishes: readonly ListedWish[];
}
