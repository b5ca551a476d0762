import { Rng } from '../../deck/rng';
import { telling } from '../../job/job';
import { DepthFirst } from './depthFirst';
import { Exchanges } from './exchanges';
import { Faces } from './faces';
import { Network } from './network';
import { someLaying } from './someLaying';
import { Term } from './term';
import { walkDear } from './walkDear';

/** What is sought: a laying of these faces in which no term is broken. */
export interface Sought {
  readonly faces: Faces;
  readonly terms: readonly Term[];
  readonly rng: Rng;
  /** By place: the face that one would rather have there, -1 for any. */
  readonly wanted?: Int16Array;
  /** By place: the face with which a search begins whose wishes only proofs judge. */
  readonly first?: Int16Array;
}

/** What came of it: a laying; that there is none, and how that was seen; or the best so far. */
export type Answer =
  | { readonly end: 'laid'; readonly at: Uint8Array; readonly steps: number }
  | { readonly end: 'none'; readonly how: 'counted' | 'searched through'; readonly steps: number }
  | { readonly end: 'open'; readonly at: Uint8Array; readonly steps: number };

/** How far it is: the steps so far, and the best laying. */
export interface SolveProgress {
  readonly steps: number;
  readonly at: Uint8Array;
}

/** So many looks at terms are taken by each way at first, and so much more each time. */
const SLICE = 20_000;
const GROWTH = 1.4;
/** Exchanges get so much more of each turn. */
const EXCHANGES = 2;
/** So many at most are taken between two words of progress. */
const AT_ONCE = 40_000;

/** The terms of wishes over domains that were narrowed once; undefined where nothing is left. */
export const narrowed = (faces: Faces, terms: readonly Term[]): Network | undefined => {
  const network = new Network(faces, terms);
  return network.begin() && tryEach(network) ? network : undefined;
};

/** Places with at most so many faces are tried face by face. */
const FEW = 4;

/** Takes away each face that leads nowhere by itself, where few are left. */
const tryEach = (network: Network): boolean => {
  const { domains } = network;
  for (let place = 0; place < domains.size; place++) {
    const size = domains.sizeAt(place);
    if (size < 2 || size > FEW) continue;
    for (let face = 0; face < domains.count; face++) {
      if (!domains.may(place, face)) continue;
      const mark = domains.mark();
      const leads = domains.fix(place, face) && network.narrow();
      domains.undo(mark);
      if (!leads && !(domains.exclude(place, face) && network.narrow())) return false;
    }
  }
  return true;
};

/**
 * Looks for a laying by turns: by exchanges and depth first, in slices that grow. It yields what it has so far; whoever
 * runs it may stop at any word of progress and go on later, and gets the same.
 *
 * @param budget how many looks at terms may be taken.
 */
export function* solve(sought: Sought, budget: number): Generator<SolveProgress, Answer, undefined> {
  const { faces, rng, wanted } = sought;
  const terms = sought.terms.filter(({ dear }) => !dear);
  const dear = sought.terms.filter((term) => term.dear === true);
  const network = narrowed(faces, terms);
  const begin =
    network && someLaying(network.domains, rng, wanted ?? (dear.length > 0 ? sought.first : undefined));
  if (!network || !begin) return { end: 'none', how: 'counted', steps: network?.steps ?? 100 };
  // What is only known of one place once it is narrowed is met by every laying inside the domains.
  const { words } = network.domains;
  const allowed = words.slice();
  const may = (place: number, face: number): boolean =>
    ((allowed[2 * place + (face >> 5)] >>> (face & 31)) & 1) === 1;
  const exchanges = new Exchanges(faces, terms, may, begin, rng);
  const depth = new DepthFirst(network, rng, wanted);
  const steps = (): number => Math.ceil(exchanges.steps + network.steps);
  let [slice, limit] = [SLICE, SLICE];
  let depthLeft = limit;
  while (steps() < budget) {
    let end = steps() + EXCHANGES * slice;
    while (!exchanges.done && steps() < end) {
      exchanges.run(Math.min(AT_ONCE, end - steps()));
      yield { steps: steps(), at: exchanges.best };
    }
    let laid: Uint8Array | undefined = exchanges.done ? exchanges.best : undefined;
    end = steps() + slice;
    while (!laid && steps() < end) {
      const found = depth.run(Math.min(AT_ONCE, depthLeft));
      depthLeft -= AT_ONCE;
      if (found === 'none') return { end: 'none', how: 'searched through', steps: steps() };
      if (found !== 'open') laid = found.at;
      else if (depthLeft <= 0) {
        limit *= GROWTH;
        depthLeft = limit;
        depth.restart();
      }
      yield { steps: steps(), at: exchanges.best };
    }
    if (laid) {
      if (dear.length === 0) return { end: 'laid', at: laid, steps: steps() };
      const walk = walkDear({ terms, dear, may, rng, at: laid, faces }, budget - steps());
      const walked = yield* telling(walk, (progress) => ({
        steps: steps() + progress.steps,
        at: progress.at,
      }));
      return {
        end: walked.done ? 'laid' : 'open',
        at: walked.at,
        steps: steps() + walked.steps,
      };
    }
    slice *= GROWTH;
  }
  return { end: 'open', at: exchanges.best, steps: steps() };
}
