import { Values } from '@enumeron/core/form';
import { Card, Order } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { Tolerance } from '@enumeron/core/reckon';
import { Fact } from '@enumeron/core/reckon/facts';
import { Page, Place, Room } from '../../room';

/** What the ask line was asked to do. */
export type Intent =
  | { readonly do: 'find'; readonly card: Card }
  | { readonly do: 'look'; readonly number: number }
  | { readonly do: 'want'; readonly card: Card; readonly number: number }
  | { readonly do: 'see'; readonly at: 'face' | 'top'; readonly card: Card }
  | { readonly do: 'move'; readonly move: Move }
  | { readonly do: 'tell'; readonly fact: Fact }
  | { readonly do: 'riffled'; readonly riffles: number }
  | { readonly do: 'undo' | 'redo' | 'swap' }
  /** @param find a word whose meaning is wanted. */
  | { readonly do: 'help'; readonly find?: string }
  | { readonly do: 'go'; readonly room: Room }
  | { readonly do: 'open'; readonly room: Place; readonly way: Page; readonly values?: Values };

/** A way to go on typing: the whole line it makes, and what it would mean. */
export interface Completion {
  readonly text: string;
  /** How the whole line will look, where that says more than its beginning. */
  readonly usage?: string;
  readonly says: string;
  /** What it does at once; without it the line goes on. */
  readonly intent?: Intent;
}

/** What the ask line answers: what it understood, or what is wrong, and how one may go on. */
export interface Reply {
  readonly intent?: Intent;
  /** The answer, or what Enter would do. */
  readonly says?: string;
  readonly note?: string;
  readonly problem?: string;
  /** What must come next. */
  readonly hint?: string;
  readonly completions: readonly Completion[];
}

/** The words of the craft, as they are looked up. */
export type Glossary = typeof import('../help/glossary');

/** The pack that is asked about. */
export interface Asked {
  readonly home: Order;
  readonly now: Order;
  /** Which handlings the performer is happy with: those are offered first. */
  readonly tolerance: Tolerance;
  /** The name of the second pack, where there is one. */
  readonly beside?: string;
  /** Undefined until it has come. */
  readonly glossary?: Glossary;
}
