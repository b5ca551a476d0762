import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { Acted, actOut, Scene } from '@enumeron/core/file/rehearse/actOut';
import { stepAt, pathOf } from '@enumeron/core/file/rehearse/editSteps';
import { fieldsOf, isNumbers, overReload } from '../../platform/over-reload';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { Desk } from '../desk/desk.store';

/** Whose eyes the table is seen with. */
export type View = 'room' | 'you' | 'all';

/** A choice that was made, and what it may be where it is one of several things. */
export interface Chosen {
  readonly index: number;
  readonly name: string;
  readonly value: number;
}

/** The procedure of this id, when nothing has been changed for a moment. */
interface Settled {
  readonly id: string;
  readonly settled: Procedure | undefined;
}

/** The procedure acted out: the choices of one case, and how far it has come. */
@Injectable()
export class Acting {
  private readonly desk = inject(Desk);

  /** What is acted out: the steps of this procedure as they were right last. */
  readonly procedure = linkedSignal<Settled, Procedure | undefined>({
    source: () => ({ id: this.desk.id(), settled: this.desk.settled() }),
    computation: ({ id, settled }, before) =>
      settled ?? (before?.source.id === id ? before.value : undefined),
  }).asReadonly();
  private readonly values = signal<readonly number[]>([]);
  private readonly at = signal(0);
  private before = fieldsOf(
    overReload('acting', () => ({ id: this.desk.id(), values: this.values(), at: this.at() })),
  );
  readonly seed = signal(1);
  readonly view = signal<View>('you');

  readonly acted = computed<Acted | undefined>(() => {
    const procedure = this.procedure();
    return procedure && actOut(procedure, this.values(), this.seed());
  });
  readonly last = computed(() => (this.acted()?.scenes.length ?? 1) - 1);
  readonly step = computed(() => Math.min(this.at(), this.last()));
  readonly scene = computed<Scene | undefined>(() => this.acted()?.scenes.at(this.step()));
  readonly choices = computed<readonly Chosen[]>(
    () => this.acted()?.choices.map(([name, value], index) => ({ index, name, value })) ?? [],
  );
  /** The choice that is waited for, where the table shows the moment at which it is made. */
  readonly asked = computed(() => (this.step() === this.last() ? this.acted()?.asked : undefined));
  /** The words of each way, where one of several things is chosen. */
  readonly ways = computed(() => {
    const [asked, procedure] = [this.asked(), this.procedure()];
    const step = asked && procedure && stepAt(procedure.steps, pathOf(asked.path));
    return step?.do === 'choose one' ? step.of.map(({ words }) => words) : [];
  });

  private readonly job = jobView('knowing', () => {
    const [procedure, acted] = [this.procedure(), this.acted()];
    if (this.view() !== 'you' || !procedure || !acted) return undefined;
    return { procedure, chosen: acted.choices.map(([, value]) => value) };
  });
  /** By packet and place: whether the performer can know which card lies there; undefined while nobody can tell. */
  readonly knowing = computed(() => answerOf(this.job())?.at(this.step()));
  /** Whether it could not be worked out what the performer can know. */
  readonly unknowable = computed(() => {
    const view = this.job();
    return this.view() === 'you' && (view?.kind === 'failed' || (view?.kind === 'ended' && !view.result));
  });

  goTo(step: number): void {
    this.at.set(Math.max(0, Math.min(step, this.last())));
  }

  /** Makes the choice that is waited for, and goes on to where it has been made. */
  choose(value: number): void {
    const next = this.last() + 1;
    this.values.set([...this.choices().map((each) => each.value), value]);
    this.at.set(next);
  }

  /** Chooses otherwise, and stays where it is. */
  change(index: number, value: number): void {
    this.values.set(this.choices().map((each) => (each.index === index ? value : each.value)));
  }

  /** Makes every choice that is not made yet at random. */
  draw(): void {
    const procedure = this.procedure();
    if (!procedure) return;
    const chosen = this.choices().map(({ value }) => value);
    const { choices } = actOut(procedure, chosen, this.seed(), Math.random);
    this.values.set(choices.map(([, value]) => value));
  }

  /** Forgets all choices. */
  begin(): void {
    this.values.set([]);
    this.at.set(0);
  }

  /** Begins with a procedure that was opened, or goes on where it was when the page was reloaded. */
  open(): void {
    const { id, values, at } = this.before;
    this.before = {};
    const goesOn = id === this.desk.id() && isNumbers(values) && typeof at === 'number';
    this.values.set(goesOn ? values : []);
    this.at.set(goesOn ? at : 0);
  }

  /** Acts one case out, to its end. */
  show(values: readonly number[]): void {
    this.values.set(values);
    this.at.set(Number.MAX_SAFE_INTEGER);
  }
}
