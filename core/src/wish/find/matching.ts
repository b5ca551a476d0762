import { lowest } from './bits';
import { Domains } from './domains';

const MOST = 64;

/**
 * Whether every card can lie at a place of its own, and which faces can lie where then: a matching of places to faces
 * (augmenting paths), and what lies in no cycle of changes with it is taken away (Régin, “A filtering algorithm for
 * constraints of difference”, 1994, with copies).
 */
export class Matching {
  /** By place: its face in the matching that was found last. It is kept for the next time. */
  private readonly face = new Int16Array(MOST).fill(-1);
  private readonly seen = new Uint8Array(MOST);
  private readonly used = new Uint8Array(MOST);
  /** By place: the places that it can reach by changes, as two words. */
  private readonly reachLo = new Int32Array(MOST);
  private readonly reachHi = new Int32Array(MOST);
  private readonly holdersLo = new Int32Array(MOST);
  private readonly holdersHi = new Int32Array(MOST);

  /** @returns false where the cards cannot all be laid. */
  narrow(domains: Domains): boolean {
    return this.match(domains) && this.filter(domains);
  }

  private match(domains: Domains): boolean {
    const { size, count, faces } = domains;
    this.used.fill(0, 0, count);
    for (let place = 0; place < size; place++) {
      const face = this.face[place];
      if (face >= 0 && (face >= count || !domains.may(place, face) || this.used[face] >= faces.copies[face]))
        this.face[place] = -1;
      else if (face >= 0) this.used[face]++;
    }
    for (let place = 0; place < size; place++) {
      if (this.face[place] >= 0) continue;
      this.seen.fill(0, 0, count);
      if (!this.augment(domains, place)) return false;
    }
    return true;
  }

  /** Gives a place a face, others their next where that is needed. */
  private augment(domains: Domains, place: number): boolean {
    const { copies } = domains.faces;
    let [lo, hi] = [domains.low(place), domains.high(place)];
    while (lo !== 0 || hi !== 0) {
      const face = lowest(lo, hi);
      if (face < 32) lo &= lo - 1;
      else hi &= hi - 1;
      if (this.seen[face] === 1) continue;
      this.seen[face] = 1;
      if (this.used[face] < copies[face]) {
        this.used[face]++;
        this.face[place] = face;
        return true;
      }
      for (let other = 0; other < domains.size; other++)
        if (this.face[other] === face && other !== place && this.augment(domains, other)) {
          this.face[place] = face;
          return true;
        }
    }
    return false;
  }

  private filter(domains: Domains): boolean {
    const { size, count } = domains;
    const { holdersLo, holdersHi, reachLo, reachHi } = this;
    holdersLo.fill(0, 0, count);
    holdersHi.fill(0, 0, count);
    for (let place = 0; place < size; place++) {
      if (place < 32) holdersLo[this.face[place]] |= 1 << place;
      else holdersHi[this.face[place]] |= 1 << (place - 32);
    }
    for (let place = 0; place < size; place++) {
      let [lo, hi] = [domains.low(place), domains.high(place)];
      let [toLo, toHi] = [0, 0];
      while (lo !== 0 || hi !== 0) {
        const face = lowest(lo, hi);
        if (face < 32) lo &= lo - 1;
        else hi &= hi - 1;
        toLo |= holdersLo[face];
        toHi |= holdersHi[face];
      }
      reachLo[place] = toLo;
      reachHi[place] = toHi;
    }
    this.close(size);
    for (let place = 0; place < size; place++) if (!this.keepSupported(domains, place)) return false;
    return true;
  }

  /** What can be reached by any number of changes (Warshall). */
  private close(size: number): void {
    const { reachLo, reachHi } = this;
    for (let through = 0; through < size; through++) {
      const word = through < 32 ? reachLo : reachHi;
      const [lo, hi, shift] = [reachLo[through], reachHi[through], through & 31];
      for (let place = 0; place < size; place++)
        if (((word[place] >>> shift) & 1) === 1) {
          reachLo[place] |= lo;
          reachHi[place] |= hi;
        }
    }
  }

  /** A face stays where one of those that hold it can be reached and leads back. */
  private keepSupported(domains: Domains, place: number): boolean {
    let [lo, hi] = [this.reachLo[place], this.reachHi[place]];
    let [keepLo, keepHi] = [0, 0];
    const word = place < 32 ? this.reachLo : this.reachHi;
    const shift = place & 31;
    while (lo !== 0 || hi !== 0) {
      const other = lowest(lo, hi);
      if (other < 32) lo &= lo - 1;
      else hi &= hi - 1;
      if (((word[other] >>> shift) & 1) === 0) continue;
      const face = this.face[other];
      if (face < 32) keepLo |= 1 << face;
      else keepHi |= 1 << (face - 32);
    }
    return domains.keep(place, keepLo, keepHi);
  }
}
