import { computed, inject, Injectable, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Problem } from '@enumeron/core/deck';
import type { Procedure, Step, StepOf } from '@enumeron/core/file/procedure/procedure';
import { meant } from '@enumeron/core/file/procedure/meant';
import { inItsVersion } from '@enumeron/core/file/procedure/version';
import { packetsOf, namesIn } from '@enumeron/core/file/procedure/walk';
import { DRAFT } from '@enumeron/core/file/rehearse/draft';
import {
  numberAt,
  numbered,
  numbersOf,
  pathOfNumber,
  placeIn,
  unnumbered,
} from '@enumeron/core/file/rehearse/identity';
import {
  dropPath,
  insertSteps,
  Line,
  lineBefore,
  linesOf,
  listAt,
  moveSteps,
  Path,
  pathBelow,
  pathBeside,
  pathOf,
  removeSteps,
  replaceStep,
  sayPath,
  stepAt,
  without,
} from '@enumeron/core/file/rehearse/editSteps';
import { narrow } from '@enumeron/core/file/rehearse/narrow';
import { namesBefore } from '@enumeron/core/file/rehearse/palette';
import type { Range } from '@enumeron/core/file/rehearse/widestRange';
import { readProcedure } from '@enumeron/core/file/rehearse/readProcedure';
import { countSteps, MOST_STEPS } from '@enumeron/core/file/rehearse/writtenParts';
import { renameAt } from '@enumeron/core/file/rehearse/rename';
import { Names } from '@enumeron/core/file/rehearse/words';
import { concat, EMPTY, map, of, switchMap, timer } from 'rxjs';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { ByRecord } from '../../nouns/procedures/by-record';
import { ProcedureRow, PROCEDURES } from '../../nouns/procedures/procedures.kind';
import { fieldsOf, isNumbers, overReload } from '../../platform/over-reload';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';

/** How long after a change it is proved anew, in milliseconds. */
const PAUSE = 200;

/** Where the focus goes when what was done shows: the first field of a step, its line, or where a step is added. */
export type Wanted = { readonly what: 'fields' | 'line'; readonly path: string } | { readonly what: 'add' };

/** The procedure that is open: what is wrong in it, which of its lines is chosen, and every change to it. */
@Injectable()
export class Desk {
  private readonly journal = inject(Journal);
  private readonly procedures = inject(ProceduresStore);
  private readonly byRecord = inject(ByRecord);

  readonly id = signal('');
  readonly row = computed(() => (this.id() === '' ? undefined : this.procedures.find(this.id())));
  /** What is stored under this address is not there, or cannot be shown. */
  readonly missing = computed(() => this.id() !== '' && !this.row() && this.procedures.isRead(this.id()));
  readonly damaged = computed(() => {
    const row = this.row();
    return row && DRAFT(row.procedure, {});
  });
  readonly procedure = computed<Procedure | undefined>(() =>
    this.damaged() === undefined ? this.row()?.procedure : undefined,
  );
  /** The steps, each with the number that it keeps while it is written, in whichever tab. */
  readonly steps = computed<readonly Step[]>(() => stepsOf(this.procedure() && this.row()));
  readonly lines = computed<readonly KeyedLine[]>(() => {
    const steps = this.steps();
    return linesOf(steps).map((line) => {
      const { number = 0, branch = 0 } = chosenAt(steps, pathOf(line.path)) ?? {};
      return { ...line, key: `${number.toString()} ${branch.toString()}` };
    });
  });

  private readonly reading = computed(() => {
    const procedure = this.procedure();
    return procedure && readProcedure(this.byRecord.weighed(this.id(), procedure));
  });
  /** The procedure where nothing is wrong in it, its choices weighed by the record where the user wants that. */
  readonly right = computed<Procedure | undefined>(() => {
    const reading = this.reading();
    return reading?.ok ? reading.procedure : undefined;
  });
  private readonly problems = computed<readonly Problem[]>(() => {
    const reading = this.reading();
    return reading && !reading.ok ? reading.problems : [];
  });
  private readonly waited = toSignal(
    toObservable(this.right).pipe(
      switchMap((right, index) =>
        right === undefined
          ? of(undefined)
          : concat(
              index === 0 ? EMPTY : of(undefined),
              timer(index === 0 ? 0 : PAUSE).pipe(map(() => right)),
            ),
      ),
    ),
  );
  /** The same, when nothing has been changed for a moment; undefined until then, and where something is wrong. */
  readonly settled = computed(() => {
    const right = this.right();
    return this.waited() === right ? right : undefined;
  });
  /** What is wrong, by the path of its step. */
  readonly wrongAt = computed<ReadonlyMap<string, Problem>>(
    () => new Map(this.problems().map((problem) => [problem.where?.replace(/^Step /, '') ?? '', problem])),
  );
  /** What is wrong outside the steps. */
  readonly wrongElsewhere = computed(() =>
    this.problems().filter(({ where }) => !where?.startsWith('Step ')),
  );
  readonly wrongSteps = computed(() => this.problems().length - this.wrongElsewhere().length);

  /** The line that is chosen: the step is the same wherever another tab moves it. */
  private readonly chosenLine = signal<ChosenLine | undefined>(undefined);
  readonly chosen = computed(() => {
    const chosen = this.chosenLine();
    if (!chosen) return '';
    const path = chosen.number === undefined ? undefined : pathOfNumber(this.steps(), chosen.number);
    if (path) return sayPath([...path, ...(chosen.branch === undefined ? [] : [chosen.branch])]);
    // Where it was taken out, by undo or in another tab, the one that lies there now.
    return chosenAt(this.steps(), pathOf(chosen.path)) ? chosen.path : '';
  });
  /** How many steps from the chosen one on are chosen. */
  readonly count = signal(1);
  private readonly placed = signal<Placed | undefined>(undefined);
  /** Where a new step goes. */
  readonly adding = computed<Path>(() => {
    const placed = this.placed();
    const path = placed && placeIn(placed.among, placed.path, this.steps());
    return path ?? pathBelow(this.steps(), this.chosen());
  });
  /** The line below which it is written; undefined above all. */
  readonly addingBelow = computed(() => lineBefore(this.lines(), this.adding()));
  /** The beginning of the sentence of a new step: what was typed before its line moved is there after it. */
  readonly begun = signal('');
  readonly wanted = signal<Wanted | undefined>(undefined);

  /** What may be named in an expression, and what of it is offered at the chosen line. */
  readonly names = computed<Names>(() => {
    const procedure = this.procedure();
    const { steps = [], packets = {}, orders = {}, givens = {} } = procedure ?? {};
    return {
      names: [...new Set([...namesIn(steps), ...Object.keys(givens)])].filter((name) => name !== ''),
      packets: [...new Set([...Object.keys(packets), ...packetsOf(steps)])].filter((name) => name !== ''),
      orders: Object.keys(orders),
      ...(procedure && { offered: namesBefore(procedure, pathOf(this.chosen())) }),
    };
  });

  /** A choice as it is weighed: by the record, or as it is stated. */
  weighedStep(step: StepOf<'choose'>): StepOf<'choose'> {
    const likely = this.byRecord.likelyOf(this.id(), step.name);
    return likely && step.by !== 'performer' ? { ...step, likely } : step;
  }

  private before = fieldsOf(overReload('desk', () => ({ id: this.id(), line: this.chosen() })));

  /** Opens a procedure: at the line that was chosen when the page was reloaded, or at none. */
  open(id: string): void {
    this.id.set(id);
    // Its steps may not have been read yet.
    this.chosenLine.set(undefined);
    this.count.set(1);
    this.placed.set(undefined);
    this.begun.set('');
    const { id: before, line } = this.before;
    this.before = {};
    if (before === id && typeof line === 'string' && isNumbers(pathOf(line)))
      this.chosenLine.set({ path: line });
  }

  choose(line: string): void {
    if (line === this.chosen() && this.count() === 1) return;
    const chosen = chosenAt(this.steps(), pathOf(line));
    this.chosenLine.set(chosen && { ...chosen, path: line });
    this.count.set(1);
    this.placed.set(undefined);
    this.begun.set('');
  }

  /** One step more or less in a row with the chosen one. */
  extend(by: 1 | -1): void {
    const path = pathOf(this.chosen());
    if (path.length % 2 === 0) return;
    const most = listAt(this.steps(), path).length - (path.at(-1) ?? 1) + 1;
    this.count.update((count) => Math.max(1, Math.min(most, count + by)));
  }

  /** New steps go to a path of their own. */
  place(path: Path): void {
    this.placed.set({ path, among: this.steps() });
    this.wanted.set({ what: 'add' });
  }

  /** New steps go behind the step that holds the one beside which they would. */
  placeOutside(): boolean {
    const path = this.adding();
    if (path.length < 3) return false;
    this.place([...path.slice(0, -3), path[path.length - 3] + 1]);
    return true;
  }

  /**
   * Changes what a procedure has beside its steps; it is the user's own from then on. What goes on with the same thing at
   * once is one change.
   */
  change(label: string, make: (procedure: Procedure) => Omit<Procedure, 'steps'>, about = ''): void {
    const id = this.id();
    void this.journal.commit(
      label,
      [placeOf(PROCEDURES, id)],
      ([stored]) => {
        const row = stored ?? this.procedures.begunAs(id);
        return (
          row && [
            {
              ...without(row, 'sample'),
              procedure: inItsVersion({ ...make(row.procedure), steps: meant(row.procedure).steps }),
            },
          ]
        );
      },
      about === '' ? undefined : `${id} ${about}`,
    );
  }

  /**
   * Changes the steps.
   *
   * @param paths of what is changed, as they are shown. @param make is given where they are by then; nothing is done
   *   where one of them is gone.
   */
  private edit(
    label: string,
    paths: readonly Path[],
    make: (steps: readonly Step[], paths: readonly Path[], procedure: Procedure) => readonly Step[],
    about = '',
  ): void {
    const [id, shown] = [this.id(), this.steps()];
    void this.journal.commit(
      label,
      [placeOf(PROCEDURES, id)],
      ([stored]) => {
        const row = stored ?? this.procedures.begunAs(id);
        const steps = stepsOf(row);
        const now = paths.map((path) => placeIn(shown, path, steps)).filter((path) => path !== undefined);
        return row && now.length === paths.length
          ? [withSteps(row, make(steps, now, row.procedure))]
          : undefined;
      },
      about === '' ? undefined : `${id} ${about}`,
    );
  }

  /** Writes one field of a step; undefined takes it away. */
  set(line: string, field: string, value: unknown): void {
    const path = pathOf(line);
    const number = numberAt(this.steps(), path)?.toString() ?? '';
    if (field === 'name' && typeof value === 'string') {
      const before = stepAt(this.steps(), path);
      if (before && 'name' in before) void this.byRecord.rename(this.id(), before.name, value);
      this.edit(
        `change step ${line}`,
        [path],
        (steps, [at], procedure) => renameAt({ ...procedure, steps }, at, value).steps,
      );
      return;
    }
    const write = (steps: readonly Step[], [at]: readonly Path[]): readonly Step[] => {
      const step = stepAt(steps, at);
      if (!step) return steps;
      return replaceStep(steps, at, value === undefined ? without(step, field) : { ...step, [field]: value });
    };
    this.edit(`change step ${line}`, [path], write, `${number} ${field}`);
  }

  /** Writes a step in the place of one of the same kind. */
  write(line: string, step: Step): void {
    this.edit(`change step ${line}`, [pathOf(line)], (steps, [at]) => {
      const before = stepAt(steps, at);
      return before?.do === step.do ? replaceStep(steps, at, step) : steps;
    });
  }

  /** Puts steps in behind the chosen ones, whatever these hold; gives why not. */
  paste(steps: readonly Step[]): string | undefined {
    const path = pathOf(this.chosen());
    if (path.length % 2 === 0) return this.add(steps);
    return this.add(steps, [...path.slice(0, -1), path[path.length - 1] + this.count()]);
  }

  /** Where one goes on from the words of a way: at its first step, or where that is written. */
  goInside(branch: string): void {
    const first = [...pathOf(branch), 1];
    const step = stepAt(this.steps(), first);
    if (!step) {
      this.place(first);
      return;
    }
    this.choose(sayPath(first));
    this.wanted.set({ what: 'fields', path: sayPath(first) });
  }

  /** Puts steps in; gives why not where there would be more than are read. */
  add(steps: readonly Step[], path = this.adding()): string | undefined {
    if (countSteps(this.steps()) + countSteps(steps) > MOST_STEPS)
      return `A procedure has at most ${MOST_STEPS.toLocaleString('en')} steps. Take some out first.`;
    const line = sayPath(path);
    const fresh = unnumbered(steps);
    const label = steps.length === 1 ? `add step ${line}` : `add ${steps.length.toString()} steps`;
    this.edit(label, [path], (all, [at]) => insertSteps(all, at, fresh));
    this.choose(line);
    // The next comes behind all of them, or into the one that holds none yet.
    const last = sayPath([...path.slice(0, -1), path[path.length - 1] + steps.length - 1]);
    this.placed.set({ path: pathBelow(this.steps(), last), among: this.steps() });
    this.wanted.set({ what: 'fields', path: line });
    return undefined;
  }

  /** Asks at a choice for values from one number to another, and no others. */
  askFor(path: string, { from, to }: { readonly from: number; readonly to: number }): void {
    this.edit(`ask for ${from.toString()} to ${to.toString()}`, [pathOf(path)], (steps, [at]) => {
      const step = stepAt(steps, at);
      return step?.do === 'choose' ? replaceStep(steps, at, { ...step, from, to }) : steps;
    });
  }

  /** Asks for just these ranges, wherever they are chosen. */
  narrow(ranges: readonly Range[]): void {
    this.edit(
      'ask for just what works',
      [],
      (steps, _, procedure) => narrow({ ...procedure, steps }, ranges).steps,
    );
  }

  /** The chosen steps, in a row. */
  chosenSteps(): readonly Step[] {
    const path = pathOf(this.chosen());
    if (path.length % 2 === 0) return [];
    const first = path[path.length - 1] - 1;
    return unnumbered(listAt(this.steps(), path).slice(first, first + this.count()));
  }

  remove(): void {
    const [line, count] = [this.chosen(), this.count()];
    if (this.chosenSteps().length === 0) return;
    const path = pathOf(line);
    const left = linesOf(removeSteps(this.steps(), path, count));
    const each = Array.from({ length: count }, (_, index) => [
      ...path.slice(0, -1),
      path[path.length - 1] + index,
    ]);
    this.edit(
      count === 1 ? `remove step ${line}` : `remove ${count.toString()} steps`,
      each,
      // From the last on, so that those before stay where they are.
      (steps, paths) => [...paths].reverse().reduce((rest, at) => removeSteps(rest, at), steps),
    );
    const stays = left.some((each) => each.path === line)
      ? line
      : (lineBefore(left, path) ?? left.at(0)?.path ?? '');
    this.choose('');
    this.choose(stays);
    this.wanted.set(stays === '' ? { what: 'add' } : { what: 'line', path: stays });
  }

  /** Moves the chosen steps one place up or down, into branches and out of them. */
  shift(down: boolean): void {
    const path = pathOf(this.chosen());
    if (path.length % 2 === 0) return;
    const to = pathBeside(this.steps(), path, this.count(), down);
    if (to) this.moveTo(to);
  }

  /** Moves the step of a line so that it is another line. */
  drop(line: string, index: number): void {
    this.choose(line);
    this.moveTo(dropPath(this.steps(), line, index));
  }

  private moveTo(to: Path): void {
    const [line, count] = [this.chosen(), this.count()];
    const path = pathOf(line);
    const moved = moveSteps(this.steps(), path, count, to);
    if (!moved) return;
    this.edit(
      `move step ${line}`,
      [path, to],
      (steps, [at, goal]) => moveSteps(steps, at, count, goal)?.steps ?? steps,
    );
    this.choose(sayPath(moved.at));
    this.count.set(count);
    this.wanted.set({ what: 'line', path: sayPath(moved.at) });
  }
}

/** A line by the number of its step (for a branch of the step that holds it), and where it stood when it was chosen. */
interface ChosenLine {
  readonly number?: number;
  readonly branch?: number;
  readonly path: string;
}

/** A line, and what it is known by while lines about it come and go. */
type KeyedLine = Line & { readonly key: string };

/** Where a step goes, and among which steps that was said. */
interface Placed {
  readonly path: Path;
  readonly among: readonly Step[];
}

const stepsOf = (row: ProcedureRow | undefined): readonly Step[] =>
  row ? numbered(meant(row.procedure).steps, row.numbers) : [];

/** A row with other steps: their numbers stand beside them, so that the procedure is what a file would hold. */
const withSteps = (row: ProcedureRow, made: readonly Step[]): ProcedureRow => {
  const steps = numbered(made);
  return {
    ...without(row, 'sample'),
    procedure: inItsVersion({ ...row.procedure, steps: unnumbered(steps) }),
    numbers: numbersOf(steps).filter((number) => number !== undefined),
  };
};

const chosenAt = (steps: readonly Step[], path: Path): Omit<ChosenLine, 'path'> | undefined => {
  const isBranch = path.length % 2 === 0;
  const number = numberAt(steps, isBranch ? path.slice(0, -1) : path);
  return number === undefined ? undefined : { number, ...(isBranch && { branch: path[path.length - 1] }) };
};
