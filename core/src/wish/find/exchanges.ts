import { randomInt, Rng } from '../../deck/rng';
import { Faces } from './faces';
import { facesOfTerm, lookingAt, placesOf } from './looking';
import { Laying, Term } from './term';

/** For so many steps two cards that changed places do not change back. */
const TABU = 6;
/** After so many steps in a row without a better laying some cards are exchanged by chance. */
const STALE = 400;

/**
 * A search by exchanges of two cards: a broken term, one of its places, and of all partners the best. What stays broken
 * weighs more and more. Only what the domains leave is tried.
 */
export class Exchanges implements Laying {
  readonly at: Uint8Array;
  readonly where: Uint8Array;
  /** How many looks at terms were taken. */
  steps = 0;
  /** The best laying so far, and how much is broken in it. */
  best: Uint8Array;
  bestBroken: number;
  private readonly byPlace: readonly Int32Array[];
  private readonly byFace: readonly Int32Array[];
  private readonly broken: Float64Array;
  private readonly weight: Float64Array;
  private readonly costs: Float64Array;
  private readonly seen: Int32Array;
  private readonly tabu: Int32Array;
  private readonly touched: Int32Array;
  private look = 0;
  private time = 0;
  private stale = 0;

  /**
   * @param terms those that are not dear.
   * @param may whether a face may lie at a place.
   * @param begin by place a face: where it begins.
   */
  constructor(
    faces: Faces,
    private readonly terms: readonly Term[],
    private readonly may: (place: number, face: number) => boolean,
    begin: ArrayLike<number>,
    private readonly rng: Rng,
  ) {
    this.at = Uint8Array.from(begin);
    this.where = new Uint8Array(faces.looks.length);
    this.byPlace = lookingAt(faces.size, terms, placesOf);
    this.byFace = lookingAt(faces.looks.length, terms, facesOfTerm);
    this.broken = new Float64Array(terms.length);
    this.weight = new Float64Array(terms.length).fill(1);
    this.costs = Float64Array.from(terms, ({ cost = 1 }) => cost);
    this.seen = new Int32Array(terms.length);
    this.touched = new Int32Array(terms.length);
    this.tabu = new Int32Array(faces.size * faces.size);
    this.judgeAll();
    this.best = this.at.slice();
    this.bestBroken = this.total();
  }

  private judgeAll(): void {
    this.at.forEach((face, place) => (this.where[face] = place));
    this.terms.forEach((term, index) => {
      this.broken[index] = term.broken(this);
    });
  }

  private total(): number {
    return this.broken.reduce((sum, each) => sum + each, 0);
  }

  /** Whether nothing is broken in the laying as it is. */
  get done(): boolean {
    return this.bestBroken === 0;
  }

  /** @param steps how many looks at terms may be taken more. */
  run(steps: number): boolean {
    const end = this.steps + steps;
    while (this.steps < end && !this.done) this.step();
    return this.done;
  }

  private step(): void {
    this.time++;
    this.steps++;
    const term = this.pickBroken();
    if (term < 0) return;
    const place = this.pickPlace(term);
    const { at, time, rng } = this;
    const size = at.length;
    let [best, partner, ties] = [Number.POSITIVE_INFINITY, -1, 0];
    for (let other = 0; other < size; other++) {
      if (at[other] === at[place] || !this.may(place, at[other]) || !this.may(other, at[place])) continue;
      const change = this.changeOf(place, other, best);
      if (this.tabu[place * size + at[other]] > time && change > -0.5) continue;
      if (change < best) [best, partner, ties] = [change, other, 1];
      else if (change === best && rng() * ++ties < 1) partner = other;
    }
    if (partner < 0) {
      this.kick(2);
      return;
    }
    if (best >= 0) this.weigh();
    this.tabu[place * size + at[place]] = time + TABU + randomInt(rng, TABU);
    this.tabu[partner * size + at[partner]] = time + TABU + randomInt(rng, TABU);
    this.exchange(place, partner);
    const total = this.total();
    if (total < this.bestBroken) {
      this.bestBroken = total;
      this.best = at.slice();
      this.stale = 0;
    } else if (++this.stale > STALE) {
      this.stale = 0;
      this.kick(3 + randomInt(rng, 6));
    }
  }

  /** A broken term by chance, the heavier the more often. */
  private pickBroken(): number {
    let sum = 0;
    let found = -1;
    for (let index = 0; index < this.broken.length; index++) {
      if (this.broken[index] === 0) continue;
      sum += this.weight[index];
      if (this.rng() * sum < this.weight[index]) found = index;
    }
    return found;
  }

  private pickPlace(index: number): number {
    const { places, faces, suspect } = this.terms[index];
    if (suspect) return suspect(this, this.rng);
    if (faces) {
      const face = faces[randomInt(this.rng, faces.length)];
      return this.where[face];
    }
    return places.length === 0
      ? randomInt(this.rng, this.at.length)
      : places[randomInt(this.rng, places.length)];
  }

  /** What becomes heavier stays so: it is what is hard. */
  private weigh(): void {
    for (let index = 0; index < this.broken.length; index++)
      if (this.broken[index] > 0) this.weight[index] += 0.3;
  }

  private kick(times: number): void {
    const size = this.at.length;
    for (let time = 0; time < times; time++) {
      const [one, other] = [randomInt(this.rng, size), randomInt(this.rng, size)];
      if (this.at[one] === this.at[other]) continue;
      if (this.may(one, this.at[other]) && this.may(other, this.at[one])) this.exchange(one, other);
    }
  }

  /** The terms that look at either place, or at one of the cards there, each once: how many they are. */
  private gather(one: number, other: number): number {
    const { at, seen, touched } = this;
    const look = ++this.look;
    let count = 0;
    const all = [this.byPlace[one], this.byPlace[other], this.byFace[at[one]], this.byFace[at[other]]];
    for (const row of all)
      for (const index of row) {
        if (seen[index] === look) continue;
        seen[index] = look;
        touched[count++] = index;
      }
    return count;
  }

  private swap(one: number, other: number): void {
    const { at, where } = this;
    const face = at[one];
    at[one] = at[other];
    at[other] = face;
    where[at[one]] = one;
    where[at[other]] = other;
  }

  /** How much more is broken after an exchange, by weight; where it is over `enough`, at least that it is. */
  private changeOf(one: number, other: number, enough: number): number {
    const { touched, broken, weight, terms, costs } = this;
    const count = this.gather(one, other);
    let change = 0;
    // By so much it can mend at most from here on: what cannot reach the best any more is left.
    let mendable = 0;
    for (let index = 0; index < count; index++) mendable += weight[touched[index]] * broken[touched[index]];
    this.swap(one, other);
    for (let index = 0; index < count; index++) {
      const term = touched[index];
      const now = terms[term].broken(this);
      this.steps += costs[term] / 4;
      change += weight[term] * (now - broken[term]);
      mendable -= weight[term] * broken[term];
      if (change - mendable > enough) break;
    }
    this.swap(one, other);
    return change;
  }

  private exchange(one: number, other: number): void {
    const count = this.gather(one, other);
    this.swap(one, other);
    for (let index = 0; index < count; index++) {
      const term = this.touched[index];
      this.broken[term] = this.terms[term].broken(this);
      this.steps += this.costs[term] / 4;
    }
  }

  /**
   * Exchanges two cards by chance so that no term is broken, where none was.
   *
   * @returns what takes it back; undefined where none was found in some tries.
   */
  keepingExchange(rng: Rng): (() => void) | undefined {
    const size = this.at.length;
    for (let time = 0; time < 60; time++) {
      const [one, other] = [randomInt(rng, size), randomInt(rng, size)];
      if (this.at[one] === this.at[other] || !this.may(one, this.at[other]) || !this.may(other, this.at[one]))
        continue;
      if (this.changeOf(one, other, 0) > 0) continue;
      this.exchange(one, other);
      return () => this.exchange(one, other);
    }
    return undefined;
  }

  /** Goes to another laying in which nothing is broken; false where none was found by the end of the steps. */
  another(steps: number): boolean {
    this.kick(8);
    this.bestBroken = this.total();
    this.best = this.at.slice();
    if (!this.run(steps)) return false;
    this.begin(this.best);
    return true;
  }

  /** Begins from another laying, or from the best one. */
  begin(at: ArrayLike<number>): void {
    this.at.set(at);
    this.judgeAll();
    const total = this.total();
    if (total < this.bestBroken) {
      this.bestBroken = total;
      this.best = this.at.slice();
    }
  }
}
