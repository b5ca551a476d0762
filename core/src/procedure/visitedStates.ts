import { World } from './form';
import { StateText } from './stateText';

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

  /**
   * @param live by instruction: the values that are read from there on.
   * @param often from how many times on a choice is compared.
   */
  constructor(
    private readonly live: readonly Int32Array[],
    private readonly text: StateText,
    private readonly often = OFTEN,
  ) {
    this.choices = live.map(() => undefined);
  }

  /** What a world is remembered by at a choice, where it is worth comparing. */
  keyOf(world: World, at: number): string | undefined {
    const met = (this.choices[at] ??= { worlds: new Map(), times: 0, compared: 0, alike: 0 });
    if (met.times++ < this.often) return undefined;
    if (met.compared >= ENOUGH_COMPARED && met.alike * 4 < met.compared) return undefined;
    met.compared++;
    return this.text.of(world, this.live[at]);
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
}
