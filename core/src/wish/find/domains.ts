import { Bits, firstBits, lowest, ones } from './bits';
import { Faces } from './faces';

/**
 * Which faces may lie at each place, and at which places each face may lie: two views of one thing, kept in step, that
 * can be taken back to any earlier state. Places and faces are indices from 0; every face is to lie at as many places as
 * there are copies of it.
 */
export class Domains {
  readonly size: number;
  readonly count: number;
  /** Two words for each place, its faces, and behind them two for each face, its places. */
  readonly words: Int32Array;
  /** What changed since it was last asked. */
  readonly changedPlaces: number[] = [];
  readonly changedFaces: number[] = [];
  private readonly placeChanged: Uint8Array;
  private readonly faceChanged: Uint8Array;
  private readonly from: number;
  private trail = new Int32Array(1 << 14);
  private length = 0;

  constructor(readonly faces: Faces) {
    this.size = faces.size;
    this.count = faces.looks.length;
    this.from = 2 * this.size;
    this.words = new Int32Array(2 * (this.size + this.count));
    const [allFaces, allPlaces] = [firstBits(this.count), firstBits(this.size)];
    for (let place = 0; place < this.size; place++) this.lay(2 * place, allFaces);
    for (let face = 0; face < this.count; face++) this.lay(this.from + 2 * face, allPlaces);
    this.placeChanged = new Uint8Array(this.size);
    this.faceChanged = new Uint8Array(this.count);
  }

  private lay(at: number, { lo, hi }: Bits): void {
    this.words[at] = lo;
    this.words[at + 1] = hi;
  }

  /** The lower and the higher word of the faces that may lie at a place. */
  low(place: number): number {
    return this.words[2 * place];
  }
  high(place: number): number {
    return this.words[2 * place + 1];
  }
  /** The words of the places at which a face may lie. */
  placesLow(face: number): number {
    return this.words[this.from + 2 * face];
  }
  placesHigh(face: number): number {
    return this.words[this.from + 2 * face + 1];
  }

  /** How many faces may lie at a place. */
  sizeAt(place: number): number {
    return ones(this.words[2 * place]) + ones(this.words[2 * place + 1]);
  }
  /** At how many places a face may lie. */
  sizeOf(face: number): number {
    const at = this.from + 2 * face;
    return ones(this.words[at]) + ones(this.words[at + 1]);
  }

  /** Whether only one face may lie at a place. */
  isFixed(place: number): boolean {
    const [lo, hi] = [this.words[2 * place], this.words[2 * place + 1]];
    return lo === 0 ? (hi & (hi - 1)) === 0 : hi === 0 && (lo & (lo - 1)) === 0;
  }
  /** The lowest face that may lie at a place. */
  faceAt(place: number): number {
    return lowest(this.words[2 * place], this.words[2 * place + 1]);
  }
  may(place: number, face: number): boolean {
    return face < 32
      ? ((this.words[2 * place] >>> face) & 1) === 1
      : ((this.words[2 * place + 1] >>> (face - 32)) & 1) === 1;
  }

  /** Where the trail is now: `undo` goes back to it. */
  mark(): number {
    return this.length;
  }

  undo(mark: number): void {
    while (this.length > mark) {
      this.length -= 2;
      this.words[this.trail[this.length]] = this.trail[this.length + 1];
    }
    this.forgetChanges();
  }

  private set(at: number, word: number): void {
    if (this.length + 2 > this.trail.length) {
      const longer = new Int32Array(this.trail.length * 2);
      longer.set(this.trail);
      this.trail = longer;
    }
    this.trail[this.length++] = at;
    this.trail[this.length++] = this.words[at];
    this.words[at] = word;
  }

  private note(place: number): void {
    if (this.placeChanged[place] === 0) {
      this.placeChanged[place] = 1;
      this.changedPlaces.push(place);
    }
  }

  /** Only these faces may lie at a place: false where none may any more. */
  keep(place: number, lo: number, hi: number): boolean {
    const at = 2 * place;
    const [oldLo, oldHi] = [this.words[at], this.words[at + 1]];
    const [newLo, newHi] = [oldLo & lo, oldHi & hi];
    if (newLo === oldLo && newHi === oldHi) return true;
    if (newLo === 0 && newHi === 0) return false;
    if (newLo !== oldLo) this.set(at, newLo);
    if (newHi !== oldHi) this.set(at + 1, newHi);
    this.note(place);
    let [goneLo, goneHi] = [oldLo & ~newLo, oldHi & ~newHi];
    const word = place < 32 ? 0 : 1;
    const mask = ~(1 << (place & 31));
    while (goneLo !== 0 || goneHi !== 0) {
      const face = lowest(goneLo, goneHi);
      if (face < 32) goneLo &= goneLo - 1;
      else goneHi &= goneHi - 1;
      const row = this.from + 2 * face + word;
      this.set(row, this.words[row] & mask);
      if (this.faceChanged[face] === 0) {
        this.faceChanged[face] = 1;
        this.changedFaces.push(face);
      }
    }
    return true;
  }

  /** None of these faces may lie at a place. */
  bar(place: number, lo: number, hi: number): boolean {
    return this.keep(place, ~lo, ~hi);
  }

  /** A face lies at a place. */
  fix(place: number, face: number): boolean {
    return face < 32 ? this.keep(place, 1 << face, 0) : this.keep(place, 0, 1 << (face - 32));
  }

  /** A face does not lie at a place. */
  exclude(place: number, face: number): boolean {
    return face < 32 ? this.keep(place, ~(1 << face), -1) : this.keep(place, -1, ~(1 << (face - 32)));
  }

  /** A face may lie at these places only. */
  keepPlaces(face: number, lo: number, hi: number): boolean {
    const at = this.from + 2 * face;
    let [goneLo, goneHi] = [this.words[at] & ~lo, this.words[at + 1] & ~hi];
    while (goneLo !== 0 || goneHi !== 0) {
      const place = lowest(goneLo, goneHi);
      if (place < 32) goneLo &= goneLo - 1;
      else goneHi &= goneHi - 1;
      if (!this.exclude(place, face)) return false;
    }
    return true;
  }

  takePlace(): number | undefined {
    const place = this.changedPlaces.pop();
    if (place !== undefined) this.placeChanged[place] = 0;
    return place;
  }

  takeFace(): number | undefined {
    const face = this.changedFaces.pop();
    if (face !== undefined) this.faceChanged[face] = 0;
    return face;
  }

  private forgetChanges(): void {
    while (this.takePlace() !== undefined);
    while (this.takeFace() !== undefined);
  }

  /**
   * A face that may lie at just as many places as there are copies lies there; one whose copies have all been laid lies
   * nowhere else.
   */
  enough(face: number): boolean {
    const copies = this.faces.copies[face];
    const at = this.from + 2 * face;
    const places = ones(this.words[at]) + ones(this.words[at + 1]);
    if (places < copies) return false;
    if (places === copies) return this.layAll(face);
    return true;
  }

  private layAll(face: number): boolean {
    const at = this.from + 2 * face;
    let [lo, hi] = [this.words[at], this.words[at + 1]];
    while (lo !== 0 || hi !== 0) {
      const place = lowest(lo, hi);
      if (place < 32) lo &= lo - 1;
      else hi &= hi - 1;
      if (!this.fix(place, face)) return false;
    }
    return true;
  }

  /** Behind a place that was fixed: its face lies nowhere else once all copies lie somewhere. */
  laid(place: number): boolean {
    const face = this.faceAt(place);
    const at = this.from + 2 * face;
    let [lo, hi] = [this.words[at], this.words[at + 1]];
    let fixed = 0;
    let [otherLo, otherHi] = [0, 0];
    while (lo !== 0 || hi !== 0) {
      const each = lowest(lo, hi);
      if (each < 32) lo &= lo - 1;
      else hi &= hi - 1;
      if (this.isFixed(each)) fixed++;
      else if (each < 32) otherLo |= 1 << each;
      else otherHi |= 1 << (each - 32);
    }
    const copies = this.faces.copies[face];
    if (fixed > copies) return false;
    if (fixed < copies) return true;
    while (otherLo !== 0 || otherHi !== 0) {
      const each = lowest(otherLo, otherHi);
      if (each < 32) otherLo &= otherLo - 1;
      else otherHi &= otherHi - 1;
      if (!this.exclude(each, face)) return false;
    }
    return true;
  }
}
