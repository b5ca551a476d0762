/**
 * A routine written down: plain JSON, which is what is saved, exported and imported. docs/code/rehearsing.md describes the
 * language; `forms.ts` and `steps.ts` say of each expression and step what belongs to it.
 */
export interface Procedure {
  readonly name: string;
  readonly format?: string;
  readonly version?: number;
  readonly needs?: string;
  readonly 'set-up'?: string;
  readonly reset?: string;
  readonly note?: string;
  /** Whole numbers of the set-up, which everybody knows. */
  readonly givens?: Readonly<Record<string, number>>;
  /** What lies on the table at the start, top card first and face down. */
  readonly packets?: Readonly<Record<string, readonly LaidPart[]>>;
  /** Arrangements by name, for stack numbers. */
  readonly orders?: Readonly<Record<string, readonly string[]>>;
  readonly steps: readonly Step[];
}

/** A card as it is written, `-` for an indifferent one, or a part of a packet whose size the givens decide. */
export type LaidPart =
  | string
  | { readonly indifferent: Expression }
  | { readonly first: Expression; readonly of: readonly string[] };

/** A number as it stands, a name that was given, or something to look at or to work out: see `forms.ts`. */
export type Expression = number | string | Readonly<Record<string, unknown>>;

/** Something that holds or does not: see `forms.ts`. */
export type Condition = Readonly<Record<string, unknown>>;

export type By = 'helper' | 'performer' | 'all';

/** How likely each value of a choice is: about one of them, or as a table says; each alike where nothing is told. */
export type Likely =
  { readonly around: number; readonly within: number } | { readonly table: Readonly<Record<string, number>> };

interface Spoken {
  readonly by?: By;
  readonly note?: string;
  readonly caution?: string;
  /** What is said meanwhile, to everybody or by audience. */
  readonly says?: string | Readonly<Record<string, string>>;
}

export interface Option {
  readonly words: string;
  readonly steps: readonly Step[];
}

type Shuffle<Kind extends string> = {
  readonly do: Kind;
  readonly packet: string;
  readonly times?: Expression;
  readonly 'keep top'?: Expression;
  readonly 'keep face'?: Expression;
};

type Act =
  | {
      readonly do: 'choose';
      readonly name: string;
      readonly from: Expression;
      readonly to: Expression;
      readonly told?: boolean;
      readonly likely?: Likely;
      /** About so many: the performer, who chooses, does not know how many. */
      readonly uncounted?: boolean;
      /** What is said when they choose less, or more, than is asked for: to everybody or by audience. */
      readonly 'too few'?: Spoken['says'];
      readonly 'too many'?: Spoken['says'];
    }
  | {
      readonly do: 'choose one';
      readonly name: string;
      readonly of: readonly Option[];
      readonly told?: boolean;
      readonly likely?: Likely;
    }
  | { readonly do: 'cut'; readonly packet: string; readonly count: Expression; readonly felt?: boolean }
  | {
      readonly do: 'lift';
      readonly count: Expression;
      readonly from: string;
      readonly onto: string;
      readonly felt?: boolean;
    }
  | { readonly do: 'deal'; readonly count: Expression; readonly from: string; readonly onto: string }
  | {
      readonly do: 'deal round';
      readonly from: string;
      readonly onto: readonly string[];
      readonly count?: Expression;
    }
  | {
      readonly do: 'put';
      readonly packet: string;
      readonly where: 'on' | 'under';
      readonly other: string;
      readonly felt?: boolean;
    }
  | { readonly do: 'turn'; readonly packet: string }
  | { readonly do: 'turn card'; readonly packet: string; readonly place: Expression }
  | {
      readonly do: 'take';
      /** The card at this place, or else this card, which is looked for through the faces. */
      readonly place?: Expression;
      readonly card?: Expression;
      readonly from: string;
      readonly onto: string;
      readonly felt?: boolean;
    }
  | {
      readonly do: 'insert';
      readonly packet: string;
      readonly into: string;
      readonly place: Expression;
      readonly felt?: boolean;
    }
  | { readonly do: 'weave' | 'unweave'; readonly packet: string; readonly kind: 'in' | 'out' }
  | Shuffle<'riffle'>
  | Shuffle<'overhand'>
  | Shuffle<'mix'>
  | { readonly do: 'see' | 'work out'; readonly name: string; readonly what: Expression }
  | {
      readonly do: 'if';
      readonly that: Condition;
      readonly then: readonly Step[];
      readonly otherwise?: readonly Step[];
    }
  | { readonly do: 'repeat'; readonly times: Expression; readonly steps: readonly Step[] }
  | {
      readonly do: 'repeat';
      readonly while: Condition;
      readonly most?: number;
      readonly steps: readonly Step[];
    }
  | { readonly do: 'require' | 'claim'; readonly that: Condition; readonly words?: string }
  | { readonly do: 'claim known'; readonly what: Expression; readonly words?: string }
  | { readonly do: 'out'; readonly words: string; readonly steps?: readonly Step[] };

/** One thing that happens: somebody chooses, cards move, something is seen, worked out, asked for or claimed. */
export type Step = Act & Spoken;
export type StepKind = Step['do'];
export type StepOf<Kind extends StepKind> = Extract<Step, { readonly do: Kind }>;

/** The most rounds of a repeat. */
export const MOST_ROUNDS = 200;

/** Who does a step that does not say so. */
export const byOf = (step: Step): By =>
  step.by ?? (step.do === 'choose' || step.do === 'choose one' ? 'helper' : 'performer');
