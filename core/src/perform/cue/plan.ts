import { Order } from '../../deck/order';
import { Procedure } from '../../procedure/procedure';
import { MendCosts } from '../costs';
import { PackNeed } from '../need';
import { NamedHome } from '../say';
import { PackState } from '../state';

/** What a routine does with one of its packs. */
export interface PlannedPack {
  /** The packet of its procedure that is this pack. */
  readonly packet?: string;
  /** The order in the place of the procedure's own. */
  readonly order?: Order;
  readonly needs: PackNeed;
  readonly leaves: readonly PackState[] | 'same';
  /** Whether what it leaves is what the user says, and not what the procedure shows. */
  readonly isSaid: boolean;
}

/** A routine as it stands in the wings: what is said, what it does, and its packs. */
export interface PlannedRoutine {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly procedure?: Procedure;
  readonly packs: Readonly<Record<string, PlannedPack>>;
  readonly says: readonly { readonly to: string; readonly words: string }[];
  readonly outs: string;
  readonly notes: string;
  readonly clearUp: string;
}

/** A pack of the evening. */
export interface PlannedPackHome {
  readonly home: NamedHome;
  /** Whether its order is known. */
  readonly hasHome: boolean;
  readonly spares: number;
}

/** What is performed: a set as it was when it began. What is changed of it later does not move it. */
export interface Plan {
  readonly name: string;
  /** The routines in turn, by their ids. */
  readonly order: readonly string[];
  /** All routines that can be jumped to; those of the set are among them. */
  readonly routines: readonly PlannedRoutine[];
  readonly packs: Readonly<Record<string, PlannedPackHome>>;
  /** How packs lie at the beginning that are not ready. */
  readonly start: Readonly<Record<string, readonly PackState[]>>;
  /** The interval comes behind so many routines. */
  readonly interval?: number;
  readonly intervalMinutes?: number;
  /** What acts take; as the table says where nothing is told. */
  readonly costs?: MendCosts;
  /** Whom it is for, in the words of the routines; empty for all. */
  readonly audience: string;
}

/** How a routine ended. */
export const ENDS = ['hit', 'out', 'missed', 'stopped'] as const;
export type HowEnded = (typeof ENDS)[number];

/** How a pack lies where a routine was left half-way. */
export const LEFT = ['shown', 'cut', 'lost'] as const;
export type HowLeft = (typeof LEFT)[number];

/** One tap of the performer, and what it means. */
export type Tap =
  /** On to the next page: it was said and done. */
  | { readonly do: 'next' }
  /** What was seen or told. */
  | { readonly do: 'answer'; readonly value: number }
  /** Which step it is. */
  | { readonly do: 'at'; readonly at: string }
  /** The routine is over; before its last page it ends half-way. */
  | { readonly do: 'end'; readonly how: HowEnded }
  /** How the packs lie where it was left half-way. */
  | { readonly do: 'left'; readonly lies: HowLeft }
  /** To another routine; `end` to the end of the evening. */
  | { readonly do: 'jump'; readonly to: string }
  /** The spare pack in the place of a mend. */
  | { readonly do: 'spare' };

/** A tap, and when it was, in milliseconds from the beginning. */
export interface TimedTap {
  readonly tap: Tap;
  readonly at: number;
}
