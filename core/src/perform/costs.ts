/** What is done to a pack between two routines. */
export type Act =
  | 'see'
  | 'cut'
  | 'flip packet'
  | 'deal packet'
  | 'move packet'
  | 'find packet'
  | 'put packet back'
  | 'put back'
  | 'take out'
  | 'find bank'
  | 'change'
  | 'lay anew';

export interface ActCost {
  readonly seconds: number;
  readonly perCard: number;
}

/** How many seconds each act takes, and how many more for each card. */
export type MendCosts = Readonly<Record<Act, ActCost>>;

const flat = (seconds: number): ActCost => ({ seconds, perCard: 0 });

/** A guess until a performer's own are recorded. */
export const MEND_COSTS: MendCosts = {
  see: flat(1),
  cut: flat(4),
  'flip packet': flat(5),
  'deal packet': { seconds: 3, perCard: 1 },
  'move packet': flat(6),
  'find packet': flat(6),
  'put packet back': flat(6),
  'put back': { seconds: 0, perCard: 5 },
  'take out': { seconds: 0, perCard: 5 },
  'find bank': { seconds: 10, perCard: 3 },
  change: flat(5),
  'lay anew': flat(240),
};

/** What must be done out of sight; all else passes in view. */
export const OUT_OF_SIGHT: ReadonlySet<Act> = new Set(['find packet', 'find bank', 'change', 'lay anew']);

/** One act of a mend; how many cards it is about, where it is priced by the card. */
export interface MendPart {
  readonly act: Act;
  readonly cards?: number;
}

export const secondsOf = ({ act, cards = 0 }: MendPart, costs: MendCosts): number =>
  costs[act].seconds + costs[act].perCard * cards;
