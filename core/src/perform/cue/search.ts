import { Machine } from '../../procedure/machine';
import { CLAIM, Do, instruction } from '../../procedure/program';
import { EndedWorld, endedWorld, lieOf } from '../worlds';
import { Followed, isSameSight, Look, writtenPath } from './followed';

/** What the performer told: a value that they saw or were told, or at which step they are where that was open. */
export type Answer = { readonly value: number } | { readonly at: string };

/** A point of a world, behind a step. */
export interface Moment {
  /** The step as it is written; empty where the last answer was told. */
  readonly path: string;
  /** The values of all names, by their index. */
  readonly values: readonly number[];
  readonly world: EndedWorld;
  /** Whether it is done in every world that fits. */
  readonly isDone: boolean;
  /** Whether all lies so behind it in every world that fits. */
  readonly isCertain: boolean;
}

/** What a world waits for: something seen, with what it shows, or a choice, with its range; or how it ended. */
export type Waits =
  | { readonly kind: 'see'; readonly path: string; readonly value: number }
  | { readonly kind: 'choose'; readonly path: string; readonly from: number; readonly to: number }
  | { readonly kind: 'end'; readonly path: string; readonly how: 'held' | 'outs' | 'failed' };

/** A world that fits what was told so far. */
export interface Fit {
  /** The choices in it, by name; those in secret too. */
  readonly choices: readonly (readonly [name: string, value: number])[];
  readonly waits: Waits;
  readonly world: EndedWorld;
}

/** In the place of a step's path: that it has come to its end. */
export const END = 'end';

/** What it takes, in steps, to try a card that may lie where one was looked at in a mixed packet. */
const MIXED = 300;
/** After so many steps it is looked whether there is enough; sooner where packets are mixed. */
const [AT_ONCE, AT_ONCE_MIXED] = [4000, 40];

interface Noted {
  readonly path: string;
  readonly lie: string;
  readonly moment: Omit<Moment, 'isDone' | 'isCertain'> | undefined;
}

/** By the path of a step: how all lay behind it, each time that it was done. */
const liesBy = (noted: readonly Noted[]): ReadonlyMap<string, readonly string[]> => {
  const lies = new Map<string, string[]>();
  for (const { path, lie } of noted) {
    const before = lies.get(path);
    if (before) before.push(lie);
    else lies.set(path, [lie]);
  }
  return lies;
};

/** Goes through the worlds that fit what was told, each to the point at which more must be told. */
export class Search {
  readonly fits: Fit[] = [];
  /** How worlds that fit end, where they are followed to their ends. */
  readonly ends: Extract<Waits, { kind: 'end' }>[] = [];
  private readonly machine: Machine;
  private readonly worlds = new Map<string, EndedWorld>();
  /** What was done since the last answer in the world that is run: as many of them as it counts. */
  private readonly noted: Noted[] = [];
  private first: readonly Noted[] = [];
  private firstValues: readonly number[] = [];
  /** The values that are not the same in all that fits. */
  readonly open = new Set<number>();
  /** By what was noted first: which time the step is done there, and what is so in all that fits. */
  private times: number[] = [];
  private done: boolean[] = [];
  private certain: boolean[] = [];
  private most = Infinity;
  /** Whether a world is left where it stands: it does not fit, or it waits. */
  private isLeft = false;

  /**
   * @param start the turn at which the pack began.
   * @param way `ahead`: worlds that fit are followed to their ends; `forced`: what was told is so, whatever lies there.
   */
  constructor(
    private readonly followed: Followed,
    private readonly answers: readonly Answer[],
    private readonly start: number,
    private readonly way: 'told' | 'ahead' | 'forced',
  ) {
    const { program, looks } = followed;
    const code = program.code.map((each, at) => {
      const look = looks.get(at);
      // In a world that is only made to fit nothing is judged.
      if (way === 'forced' && each.kind === Do.Must && each.to === CLAIM)
        return instruction(Do.Act, { act: () => true });
      return look ? instruction(Do.Act, { act: () => this.look(look) }) : each;
    });
    this.machine = new Machine(
      { ...program, code },
      {
        sights: true,
        visit: () => undefined,
        ended: (_, how, path) => {
          if (this.isLeft) this.isLeft = false;
          else this.end(how, path);
        },
      },
    );
  }

  get valuesFirst(): readonly number[] {
    return this.firstValues;
  }

  get holds(): boolean {
    return this.ends.some(({ how }) => how === 'held');
  }

  get moments(): readonly Moment[] {
    return this.first.flatMap(({ moment }, index) =>
      moment ? [{ ...moment, isDone: this.done[index], isCertain: this.certain[index] }] : [],
    );
  }

  /** What it has taken so far. */
  get steps(): number {
    const { steps, tries, program } = this.machine;
    return steps + (program.pools > 0 ? MIXED * tries : 0);
  }

  /** @returns whether all worlds were looked at. */
  run(budget: number, most: number): boolean {
    const { machine } = this;
    this.most = most;
    const atOnce = machine.program.pools > 0 ? AT_ONCE_MIXED : AT_ONCE;
    let done = false;
    while (!done) {
      if (this.steps >= budget || machine.full || this.fits.length >= most || this.holds) return false;
      done = machine.run(machine.steps + atOnce);
    }
    return true;
  }

  private get used(): number {
    return this.machine.values[this.followed.used];
  }

  private get isDue(): boolean {
    return this.used === this.answers.length;
  }

  /** The answer that is due next in the world that is run. */
  private get answer(): Answer | undefined {
    return this.answers.at(this.used);
  }

  /** Looks at a world; gives whether it goes on. */
  private look(look: Look): boolean {
    // There are enough: what is left is gone past.
    if (this.fits.length >= this.most) return this.leave();
    switch (look.kind) {
      case 'before':
        return this.before(look) || this.leave();
      case 'told':
        return this.told(look) || this.leave();
      case 'done':
        if (this.isDue && this.way !== 'ahead') this.note(look.path);
        return true;
    }
  }

  private leave(): false {
    this.isLeft = true;
    return false;
  }

  /** Before a choice that is told: it waits there for an answer. */
  private before({ path, choice }: Look): boolean {
    if (!this.isAt(path)) return false;
    if (!this.isDue || this.way === 'ahead') return true;
    const [from, to] = [choice?.from(this.machine) ?? 0, choice?.to(this.machine) ?? 0];
    this.found({ kind: 'choose', path, from, to });
    return false;
  }

  /** Where it was told which step it is: whether it is this one. */
  private isAt(path: string): boolean {
    const { answer } = this;
    if (!answer || !('at' in answer)) return true;
    if (answer.at === path) this.use();
    return answer.at === path;
  }

  private told({ path, value: index, sort, isSeen }: Look): boolean {
    if (isSeen && !this.isAt(path)) return false;
    const value = this.machine.values[index];
    if (this.isDue) {
      if (this.way === 'ahead') return true;
      this.found({ kind: 'see', path, value });
      return false;
    }
    const { answer } = this;
    if (!answer || !('value' in answer)) return false;
    if (this.way === 'forced' && isSeen) this.machine.values[index] = answer.value;
    else if (!isSameSight(this.followed, sort, value, answer.value)) return false;
    this.use();
    return true;
  }

  /** An answer is used up. */
  private use(): void {
    this.machine.values[this.followed.used]++;
    if (this.isDue && this.way !== 'ahead') this.note('');
  }

  private end(how: 'held' | 'outs' | 'failed', at: string): void {
    const { answer } = this;
    const isTold = answer !== undefined && 'at' in answer && answer.at === END;
    if (!this.isDue && !(isTold && this.used === this.answers.length - 1)) return;
    const end = { kind: 'end', path: writtenPath(this.followed, at), how } as const;
    if (this.way === 'ahead') this.ends.push(end);
    // What cannot be done in a world that is only made to fit can be done in another.
    else if (this.way === 'told' || how !== 'failed') this.found(end);
  }

  private note(path: string): void {
    const { machine, start, fits, followed, noted } = this;
    const moment =
      fits.length > 0 ? undefined : { path, values: [...machine.values], world: endedWorld(machine, start) };
    noted[machine.values[followed.noted]++] = { path, lie: lieOf(machine), moment };
  }

  private found(waits: Waits): void {
    const { machine, first } = this;
    const noted = this.noted.slice(0, machine.values[this.followed.noted]);
    const lies = liesBy(noted);
    if (this.fits.length === 0) {
      this.first = noted;
      this.firstValues = [...machine.values];
      this.times = noted.map(
        ({ path }, index) => noted.slice(0, index).filter((each) => each.path === path).length,
      );
      this.done = noted.map(() => true);
      this.certain = noted.map(() => true);
    } else {
      this.firstValues.forEach((value, index) => {
        if (machine.values[index] !== value) this.open.add(index);
      });
      first.forEach(({ path, lie }, index) => {
        const other = lies.get(path)?.at(this.times[index]);
        if (other === undefined) this.done[index] = false;
        if (other !== lie) this.certain[index] = false;
      });
    }
    const lie = lieOf(machine);
    const world = this.worlds.get(lie) ?? endedWorld(machine, this.start);
    this.worlds.set(lie, world);
    this.fits.push({ choices: machine.choices, waits, world });
  }
}
