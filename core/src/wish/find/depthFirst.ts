import { Rng } from '../../deck/rng';
import { lowest, ones } from './bits';
import { Network } from './network';
import { Laying } from './term';
import { layingOf } from './terms/whole';

/** How such a search stands: an order, all gone through without one, or not through yet. */
export type Standing = Laying | 'none' | 'open';

/** What was tried last: a face at a place, and where the trail was before. */
interface Tried {
  readonly mark: number;
  readonly place: number;
  readonly face: number;
}

/**
 * A search that lays one card after the other, narrows, and goes back where nothing is left: with the place that has the
 * fewest faces by failures, or the card that has the fewest places. It can stop anywhere and go on, and it can begin
 * anew with what it learnt of the failures.
 */
export class DepthFirst {
  private readonly tried: Tried[] = [];
  private readonly root: number;

  /**
   * @param network narrowed from the beginning.
   * @param first by place: the face that is tried first, where there is one.
   */
  constructor(
    private readonly network: Network,
    private readonly rng: Rng,
    private readonly first?: Int16Array,
  ) {
    this.root = network.domains.mark();
  }

  /** Goes back to the beginning; the failures are kept. */
  restart(): void {
    this.network.domains.undo(this.root);
    this.tried.length = 0;
  }

  /** @param steps how many looks at terms may be taken more. */
  run(steps: number): Standing {
    const { network } = this;
    const end = network.steps + steps;
    while (network.steps < end) {
      network.steps++;
      const choice = this.choose();
      if (choice === undefined) {
        const laying = layingOf(network.domains);
        if (laying && network.terms.every((term) => this.holds(term.broken(laying), term.cost)))
          return laying;
        if (!this.back()) return 'none';
        continue;
      }
      if (!this.lay(choice.place, choice.face) && !this.back()) return 'none';
    }
    return 'open';
  }

  private holds(broken: number, cost = 1): boolean {
    this.network.steps += cost;
    return broken === 0;
  }

  private lay(place: number, face: number): boolean {
    const { network, tried } = this;
    const { domains } = network;
    tried.push({ mark: domains.mark(), place, face });
    return domains.fix(place, face) && network.narrow();
  }

  /** What was tried last does not lead on: it is excluded, and what was tried before it where that leads nowhere. */
  private back(): boolean {
    const { network, tried } = this;
    const { domains } = network;
    for (;;) {
      const last = tried.pop();
      if (last === undefined) return false;
      domains.undo(last.mark);
      if (domains.exclude(last.place, last.face) && network.narrow()) return true;
    }
  }

  private choose(): { readonly place: number; readonly face: number } | undefined {
    const { domains, failures } = this.network;
    let [best, place] = [Number.POSITIVE_INFINITY, -1];
    for (let each = 0; each < domains.size; each++) {
      const [lo, hi] = [domains.low(each), domains.high(each)];
      const size = ones(lo) + ones(hi);
      if (size < 2) continue;
      const worth = size / (1 + failures[each]) + this.rng() * 0.01;
      if (worth < best) [best, place] = [worth, each];
    }
    if (place < 0) return undefined;
    let [fewest, face] = [domains.sizeAt(place), -1];
    if (fewest > 2)
      for (let each = 0; each < domains.count; each++) {
        if (domains.faces.copies[each] > 1) continue;
        const size = domains.sizeOf(each);
        if (size > 1 && size < fewest) [fewest, face] = [size, each];
      }
    return face >= 0 ? this.placeFor(face) : { place, face: this.faceFor(place) };
  }

  private placeFor(face: number): { readonly place: number; readonly face: number } {
    const { domains } = this.network;
    const [lo, hi] = [domains.placesLow(face), domains.placesHigh(face)];
    if (this.first)
      for (let place = 0; place < domains.size; place++)
        if (this.first[place] === face && domains.may(place, face)) return { place, face };
    return { place: nthOf(lo, hi, this.rng), face };
  }

  private faceFor(place: number): number {
    const { domains } = this.network;
    const wanted = this.first?.[place] ?? -1;
    if (wanted >= 0 && domains.may(place, wanted)) return wanted;
    return nthOf(domains.low(place), domains.high(place), this.rng);
  }
}

/** One of the bits that are set, by chance. */
const nthOf = (lo: number, hi: number, rng: Rng): number => {
  let left = Math.floor(rng() * (ones(lo) + ones(hi)));
  while (left-- > 0) {
    if (lo !== 0) lo &= lo - 1;
    else hi &= hi - 1;
  }
  return lowest(lo, hi);
};
