import { Procedure } from '../../procedure/procedure';
import { PackState } from '../state';
import { Fits, Start } from './fits';
import { Answer } from './search';
import { RunPage } from './page';
import { HowEnded, Plan, PlannedPackHome, PlannedRoutine } from './plan';
import { MendPart } from '../costs';
import { RoutineDone, Took, WasChosen } from './done';

/** By pack: how it may lie. */
export type PacksNow = Readonly<Record<string, readonly PackState[]>>;

/** A routine while it is performed. */
export interface Run {
  readonly routine: PlannedRoutine;
  readonly procedure: Procedure | undefined;
  readonly starts: readonly Start[];
  readonly before: PacksNow;
  readonly answers: readonly Answer[];
  readonly found: Fits | undefined;
  readonly pages: readonly RunPage[];
  readonly index: number;
  readonly told: readonly WasChosen[];
}

/** A pack that does not lie as the next routine needs it. */
export interface Mending {
  readonly kind: 'mend';
  readonly routine: PlannedRoutine;
  readonly pack: string;
  /** What is done, one act after the other; empty where nothing brings it there. */
  readonly acts: readonly string[];
  /** The same acts, as they are counted. */
  readonly parts: readonly MendPart[];
  readonly outOfSight: boolean;
  readonly seconds: number;
  /** In how many ways it may lie; the acts are those of the one that takes most. */
  readonly ways: number;
  /** Why nothing brings it there. */
  readonly cannot: string | undefined;
  /** Whether a spare pack can take its place. */
  readonly canChange: boolean;
  readonly isChange: boolean;
  readonly after: readonly PackState[];
}

/** What is before the performer now. */
export type Phase =
  | Mending
  | { readonly kind: 'face'; readonly routine: PlannedRoutine; readonly pack: string }
  | { readonly kind: 'run'; readonly run: Run }
  | { readonly kind: 'left'; readonly run: Run; readonly how: HowEnded; readonly to: string | undefined }
  | {
      readonly kind: 'interval';
      readonly to: string;
      readonly packs: readonly {
        readonly pack: string;
        readonly acts: readonly string[];
        readonly parts: readonly MendPart[];
        readonly after: readonly PackState[];
      }[];
    }
  | { readonly kind: 'over' };

/** A performance as far as it has come. */
export interface Live {
  readonly plan: Plan;
  readonly phase: Phase;
  readonly packs: PacksNow;
  readonly spares: Readonly<Record<string, number>>;
  readonly done: readonly RoutineDone[];
  /** The routine's place in the set, from 0; −1 before the first. */
  readonly current: number;
  readonly hadInterval: boolean;
  /** When this page came, in milliseconds from the beginning. */
  readonly since: number;
  /** What was done since the last routine ended. */
  readonly steps: readonly Took[];
  readonly mends: readonly Took[];
}

/** A routine by its id; undefined where it is none of the evening. */
export const routineOf = ({ routines }: Plan, id: string): PlannedRoutine | undefined =>
  routines.find((each) => each.id === id);

export const homeOf = ({ packs }: Plan, name: string): PlannedPackHome => packs[name];
