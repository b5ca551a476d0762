/** Integers of a row: its key and one, the level, and the turns that are reached at that level, in two words. */
const ROW = 4;

/**
 * Groups of states that are turns of each other, found by their keys. Of each is kept at which level it was first
 * reached, and which of its turns are reached there: a cut leads to every other turn one level later.
 */
export class GroupTable {
  private rows = new Int32Array(ROW * 1024);
  private shift = 22;
  private count = 0;

  /**
   * A turn or several of a group are reached: they count where the group was not reached at a lower level.
   *
   * @returns whether the group was not reached before.
   */
  reach(key: number, level: number, low: number, high: number): boolean {
    const at = this.slotOf(key);
    const { rows } = this;
    if (rows[at] === 0) {
      rows[at] = key + 1;
      rows[at + 1] = level;
      rows[at + 2] = low;
      rows[at + 3] = high;
      this.count++;
      if (this.count * (2 * ROW) > rows.length) this.grow();
      return true;
    }
    if (rows[at + 1] === level) {
      rows[at + 2] |= low;
      rows[at + 3] |= high;
    }
    return false;
  }

  /** Where a group lies, for `levelAt` and the others, until another one is reached; −1 where it was not reached. */
  find(key: number): number {
    const at = this.slotOf(key);
    return this.rows[at] === 0 ? -1 : at;
  }

  levelAt(at: number): number {
    return this.rows[at + 1];
  }

  /** The turns 0 to 31 that are reached at the level. */
  lowAt(at: number): number {
    return this.rows[at + 2];
  }

  /** The turns 32 to 63. */
  highAt(at: number): number {
    return this.rows[at + 3];
  }

  /** Where the row of a key lies, or would. */
  private slotOf(key: number): number {
    const { rows } = this;
    // Fibonacci hashing: the upper bits of the product are well mixed.
    let at = ROW * (Math.imul(key + 1, 0x9e3779b1) >>> this.shift);
    while (rows[at] !== 0 && rows[at] !== key + 1) {
      at += ROW;
      if (at === rows.length) at = 0;
    }
    return at;
  }

  private grow(): void {
    const { rows } = this;
    this.rows = new Int32Array(2 * rows.length);
    this.shift--;
    for (let from = 0; from < rows.length; from += ROW) {
      if (rows[from] === 0) continue;
      const to = this.slotOf(rows[from] - 1);
      for (let field = 0; field < ROW; field++) this.rows[to + field] = rows[from + field];
    }
  }
}
