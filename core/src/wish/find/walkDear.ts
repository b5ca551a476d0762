import { randomInt, Rng } from '../../deck/rng';
import { Exchanges } from './exchanges';
import { Faces } from './faces';
import { Laying, Term } from './term';

export interface Walk {
  readonly faces: Faces;
  /** The terms that cost little, of which no one is broken in `at`. */
  readonly terms: readonly Term[];
  readonly dear: readonly Term[];
  readonly may: (place: number, face: number) => boolean;
  readonly rng: Rng;
  readonly at: Uint8Array;
}

export interface WalkProgress {
  readonly steps: number;
  readonly at: Uint8Array;
  readonly done: boolean;
}

/** How warm it is: by so much worse a laying may be and is taken now and then. */
const HEAT = 0.02;
/** After so many proofs without a better laying it begins anew elsewhere. */
const STALE = 1_500;

/**
 * Exchanges that break no term of little cost, each judged by the dear ones: what is not worse is kept, and with a
 * little heat what is worse.
 */
export function* walkDear(
  { faces, terms, dear, may, rng, at }: Walk,
  budget: number,
): Generator<WalkProgress, WalkProgress, undefined> {
  const exchanges = new Exchanges(faces, terms, may, at, rng);
  let steps = 0;
  const proof = dear.reduce((sum, { cost = 1 }) => sum + cost, 0);
  const judge = (laying: Laying): number => {
    steps += proof;
    return dear.reduce((sum, term) => sum + term.broken(laying), 0);
  };
  let now = judge(exchanges);
  let best = { at: exchanges.at.slice(), broken: now };
  let stale = 0;
  const told = (): WalkProgress => ({
    steps: Math.ceil(steps + exchanges.steps),
    at: best.at,
    done: best.broken === 0,
  });
  while (best.broken > 0 && steps + exchanges.steps < budget) {
    const undo = exchanges.keepingExchange(rng);
    if (!undo) {
      // Nothing can be exchanged by itself: another laying is looked for.
      if (!exchanges.another(budget - steps - exchanges.steps)) break;
      now = judge(exchanges);
    } else {
      const then = judge(exchanges);
      if (then <= now || rng() < Math.exp((now - then) / HEAT)) now = then;
      else undo();
    }
    if (now < best.broken) {
      best = { at: exchanges.at.slice(), broken: now };
      stale = 0;
    } else if (++stale > STALE) {
      stale = 0;
      if (randomInt(rng, 2) === 0) exchanges.begin(best.at);
      else if (!exchanges.another(budget - steps - exchanges.steps)) break;
      now = judge(exchanges);
    }
    yield told();
  }
  return told();
}
