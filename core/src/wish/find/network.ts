import { Domains } from './domains';
import { Faces } from './faces';
import { facesOfTerm, lookingAt, placesOf } from './looking';
import { Matching } from './matching';
import { Term } from './term';

/** The terms of a list of wishes over the domains of a pack: what one takes away wakes those that look there. */
export class Network {
  readonly domains: Domains;
  /** By place: how often it was where something failed. */
  readonly failures: Float64Array;
  /** How many looks at terms were taken. */
  steps = 0;
  private readonly matching = new Matching();
  private readonly byPlace: readonly Int32Array[];
  private readonly byFace: readonly Int32Array[];
  private readonly waiting: Uint8Array;
  private readonly queue: number[] = [];

  constructor(
    readonly faces: Faces,
    readonly terms: readonly Term[],
  ) {
    this.domains = new Domains(faces);
    this.failures = new Float64Array(faces.size);
    this.byPlace = lookingAt(faces.size, terms, (term) => (term.narrow ? placesOf(term) : []));
    this.byFace = lookingAt(faces.looks.length, terms, (term) => (term.narrow ? facesOfTerm(term) : []));
    this.waiting = new Uint8Array(terms.length);
  }

  /** Narrows everything once, from the beginning. */
  begin(): boolean {
    this.terms.forEach((term, index) => {
      if (term.narrow) this.wake(index);
    });
    const { domains } = this;
    for (let face = 0; face < domains.count; face++) if (!domains.enough(face)) return this.fail(undefined);
    return this.narrow();
  }

  private wake(index: number): void {
    if (this.waiting[index] === 1) return;
    this.waiting[index] = 1;
    this.queue.push(index);
  }

  private fail(term: Term | undefined): false {
    for (const index of this.queue) this.waiting[index] = 0;
    this.queue.length = 0;
    if (term) for (const place of term.places) this.failures[place] += 1 / term.places.length;
    return false;
  }

  /** What changed is counted, and wakes the terms that look at it. */
  private spread(): boolean {
    const { domains } = this;
    for (;;) {
      const place = domains.takePlace();
      if (place !== undefined) {
        for (const index of this.byPlace[place]) this.wake(index);
        if (domains.isFixed(place) && !domains.laid(place)) {
          this.failures[place]++;
          return false;
        }
        continue;
      }
      const face = domains.takeFace();
      if (face === undefined) return true;
      for (const index of this.byFace[face]) this.wake(index);
      if (!domains.enough(face)) return false;
    }
  }

  /** Takes away what cannot be until nothing more goes: false where nothing is left of a place or a card. */
  narrow(): boolean {
    const { domains } = this;
    let matched = false;
    for (;;) {
      if (!this.spread()) return this.fail(undefined);
      const index = this.queue.pop();
      if (index === undefined) {
        if (matched) return true;
        matched = true;
        this.steps += 8;
        if (!this.matching.narrow(domains)) return this.fail(undefined);
        continue;
      }
      this.waiting[index] = 0;
      const term = this.terms[index];
      this.steps += term.cost ?? 1;
      if (!term.narrow?.(domains)) return this.fail(term);
      if (domains.changedPlaces.length > 0) matched = false;
    }
  }
}
