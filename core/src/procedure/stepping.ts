import { Rng } from '../deck/rng';
import { NONE, World } from './form';
import { MixedTable } from './mixedTable';
import { TableFull } from './packets';
import { CANNOT, Choice, Do, Instruction, Program, UNSET } from './program';

/** So many instructions are counted down in a small integer. */
const MOST_AT_ONCE = 2 ** 30;

/** No instruction: all worlds have been run. */
export const DONE = -7;

/**
 * Does the instructions of a program one after the other. What a choice, a claim to know and the end of a world lead to
 * is said by who runs it: each gives the instruction at which it goes on.
 */
export abstract class Stepping implements World {
  readonly values: Int32Array;
  steps = 0;
  /** Set where the table could not hold all that was to be kept: the run ended there. */
  full = false;
  protected at = 0;
  /** How many instructions were done beside, for many worlds at once, and are not counted yet. */
  protected beside = 0;

  /** @param rng what is shuffled by; without it a shuffle by chance throws. */
  constructor(
    readonly program: Program,
    readonly table: MixedTable,
    private readonly rng: Rng = noChance,
  ) {
    // One more: what a world failed to know.
    this.values = new Int32Array(program.values + 1).fill(UNSET);
  }

  protected abstract choose(choice: Choice, at: number): number;
  /** Whether something claimed to be known can be worked out at all. */
  protected abstract look(claimed: number, claim: number): boolean;
  protected abstract end(outcome: number, at: number): number;

  /** The instruction that is done next; below 0 when all worlds have been run. */
  get here(): number {
    return this.at;
  }

  /** Goes on until so many instructions were done; true when all worlds have been run. */
  run(until: number): boolean {
    try {
      return this.go(until);
    } catch (error) {
      if (!(error instanceof TableFull)) throw error;
      this.full = true;
      return false;
    }
  }

  private go(until: number): boolean {
    const { table, values } = this;
    const { code } = this.program;
    const { rng } = this;
    let at = this.at;
    const most = Math.min(until - this.steps, MOST_AT_ONCE);
    let left = most | 0;
    while (at !== DONE && left > 0) {
      left--;
      const instruction = code[at];
      switch (instruction.kind) {
        case Do.Act:
          at = instruction.act(this, rng) ? at + 1 : this.end(CANNOT, at);
          break;
        case Do.Lift:
        case Do.LiftOver:
          at = this.lift(instruction, at);
          break;
        case Do.Cut: {
          const count = this.countOf(instruction);
          if (count < 0 || count > table.sizes[instruction.packet]) at = this.end(CANNOT, at);
          else {
            table.cut(instruction.packet, count);
            at++;
          }
          break;
        }
        case Do.Turn:
          table.turn(instruction.packet);
          at++;
          break;
        case Do.Put:
          if (instruction.to === 1) table.putUnder(instruction.packet, instruction.other);
          else table.putOn(instruction.packet, instruction.other);
          at++;
          break;
        case Do.Set:
          values[instruction.value] = instruction.to;
          at++;
          break;
        case Do.Top:
          at = this.top(instruction, at);
          break;
        case Do.Give: {
          const value = instruction.read(this);
          values[instruction.value] = value;
          at = value === NONE ? this.end(CANNOT, at) : at + 1;
          break;
        }
        case Do.Test: {
          const held = instruction.read(this);
          at = held === 1 ? at + 1 : held === 0 ? instruction.to : this.end(CANNOT, at);
          break;
        }
        case Do.Must: {
          const held = instruction.read(this);
          at = held === 1 ? at + 1 : this.end(held === 0 ? instruction.to : CANNOT, at);
          break;
        }
        case Do.Jump:
          at = instruction.to;
          break;
        case Do.Choose:
          at = this.choose(instruction.choice as Choice, at);
          left -= this.beside;
          this.beside = 0;
          break;
        case Do.Branch:
          at = instruction.ways[values[instruction.value] - 1];
          break;
        case Do.Rounds: {
          const times = instruction.read(this);
          values[instruction.value] = times;
          at = times < 0 || times > instruction.to ? this.end(CANNOT, at) : at + 1;
          break;
        }
        case Do.Round:
          at = values[instruction.value]-- > 0 ? at + 1 : instruction.to;
          break;
        case Do.Known:
          at = this.look(instruction.read(this), instruction.to) ? at + 1 : this.end(CANNOT, at);
          break;
        case Do.End:
          at = this.end(instruction.to, at);
      }
    }
    this.steps += most - left;
    this.at = at;
    return at === DONE || (this.steps < until && this.go(until));
  }

  /** How many cards are lifted or cut; below 0 where that is none. */
  private countOf({ value, read }: Instruction): number {
    return value < 0 ? read(this) : this.values[value];
  }

  /** Lifts as many cards as a value says, or is read; gives where the world goes on. */
  private lift(instruction: Instruction, at: number): number {
    const { kind, packet, other, to } = instruction;
    const { table } = this;
    const count = this.countOf(instruction);
    if (count < 0 || count > table.sizes[packet]) return this.end(CANNOT, at);
    if (kind === Do.LiftOver) {
      table.liftOver(packet, count, other);
      return at + 2;
    }
    table.lift(packet, count, other, to === 1);
    return at + 1;
  }

  /** Looks at the top card of a packet; gives where the world goes on. */
  private top({ packet, value }: Instruction, at: number): number {
    const card = this.table.sizes[packet] > 0 ? this.table.lookTop(packet) : NONE;
    this.values[value] = card;
    return card === NONE ? this.end(CANNOT, at) : at + 1;
  }
}

const noChance = (): never => {
  throw new Error('Where chance enters, a procedure is estimated.');
};
