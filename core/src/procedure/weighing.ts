import { Rng } from '../deck/rng';
import { likelihoods } from './likely';
import { TableFull } from './packets';
import { Choice } from './program';

/** How likely the values of choices are. */
export class Weighing {
  private readonly last = new Map<Choice, { low: number; high: number; weights: Float64Array }>();

  /**
   * The chance of each value of a choice from `low` to `high`, both included.
   *
   * @throws TableFull where they are too many to list.
   */
  of(choice: Choice, low: number, high: number): Float64Array {
    const last = this.last.get(choice);
    if (last?.low === low && last.high === high) return last.weights;
    const weights = likelihoods(choice.likely, low, high);
    if (!weights) throw new TableFull();
    this.last.set(choice, { low, high, weights });
    return weights;
  }

  /** One value of a choice by chance; undefined where nothing weighs anything. */
  draw(choice: Choice, low: number, high: number, rng: Rng): number | undefined {
    const weights = this.of(choice, low, high);
    if (weights.every((weight) => weight === 0)) return undefined;
    let left = rng();
    let value = low;
    while (value < high && left >= weights[value - low]) left -= weights[value++ - low];
    return value;
  }
}
