import { World } from './forms';
import { MOST_CARDS } from './packets';

/** So many worlds are kept for each choice; beyond it each is run. */
const MOST_KEPT = 300_000;
/** A choice is compared from so many times on: before, running it again costs less. */
const OFTEN = 4096;
/** After so many worlds of which few were alike a choice compares no more. */
const ENOUGH_COMPARED = 4096;

/** What a run has found of one choice. */
interface Met {
  /** What came of the worlds that it met, by what they are remembered by. */
  readonly worlds: Map<string, Float64Array>;
  times: number;
  compared: number;
  alike: number;
}

/**
 * The worlds that choices have met: where one comes again, with the same packets and the same values of all that is
 * still read, what comes of it is known. So millions of ways that lead to the same state take thousands of runs.
 */
export class VisitedStates {
  private readonly choices: (Met | undefined)[];
  private readonly bytes: Uint16Array;

  /**
   * @param live by instruction: the values that are read from there on.
   * @param often from how many times on a choice is compared.
   */
  constructor(
    private readonly live: readonly Int32Array[],
    packets: number,
    private readonly often = OFTEN,
  ) {
    this.choices = live.map(() => undefined);
    const values = Math.max(0, ...live.map(({ length }) => length));
    this.bytes = new Uint16Array(packets + MOST_CARDS + 2 * values);
  }

  /** What a world is remembered by at a choice, where it is worth comparing. */
  keyOf(world: World, at: number): string | undefined {
    const met = (this.choices[at] ??= { worlds: new Map(), times: 0, compared: 0, alike: 0 });
    if (met.times++ < this.often) return undefined;
    if (met.compared >= ENOUGH_COMPARED && met.alike * 4 < met.compared) return undefined;
    met.compared++;
    return this.textOf(world, at);
  }

  /** What came of a world like it, if one was met. */
  find(at: number, key: string): Float64Array | undefined {
    return this.choices[at]?.worlds.get(key);
  }

  /** Notes that comparing has saved a run. */
  note(at: number): void {
    const met = this.choices[at];
    if (met) met.alike++;
  }

  keep(at: number, key: string, sums: Float64Array): void {
    const met = this.choices[at];
    if (met && met.worlds.size < MOST_KEPT) met.worlds.set(key, sums);
  }

  /** The packets, and the values that are still read, as a text. */
  private textOf({ table, values }: World, at: number): string {
    const { bytes } = this;
    let length = 0;
    for (let packet = 0; packet < table.sizes.length; packet++) {
      bytes[length++] = table.sizes[packet];
      length += table.write(packet, bytes, length);
    }
    for (const index of this.live[at]) {
      const value = values[index];
      bytes[length++] = value;
      bytes[length++] = value >> 16;
    }
    // A letter for each: far faster than numbers with commas between them.
    return String.fromCharCode.apply(undefined, bytes.subarray(0, length) as unknown as number[]);
  }
}
