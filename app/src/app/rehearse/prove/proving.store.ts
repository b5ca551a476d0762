import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { hasChance } from '@enumeron/core/file/rehearse/prove';
import { failuresAt } from '@enumeron/core/file/rehearse/sayProof';
import type { Study, StudyProgress } from '@enumeron/core/file/rehearse/study';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { Desk } from '../desk/desk.store';

/** How many steps are done by itself while one writes, and how many when one asks for all of them. */
const [BY_ITSELF, ASKED] = [30_000_000, 20_000_000_000];

/** What was found of the procedure of this id, as it is. */
interface Found {
  readonly id: string;
  readonly study: Study | undefined;
}

/** What is known of the procedure: every combination of choices is run beside the page, anew at each change. */
@Injectable()
export class Proving {
  private readonly desk = inject(Desk);

  /** The procedure of which more was asked than is done by itself. */
  private readonly askedFor = signal<Procedure | undefined>(undefined);
  private readonly stoppedFor = signal<Procedure | undefined>(undefined);

  readonly chance = computed(() => {
    const right = this.desk.right();
    return right !== undefined && hasChance(right);
  });
  private readonly view = jobView('study', () => {
    const procedure = this.desk.settled();
    if (!procedure || hasChance(procedure) || this.stoppedFor() === procedure) return undefined;
    return { procedure, budget: this.askedFor() === procedure ? ASKED : BY_ITSELF };
  });

  /** What was found of this procedure last, also while the next is on its way; of another one it says nothing. */
  readonly study = linkedSignal<Found, Study | undefined>({
    source: () => ({ id: this.desk.id(), study: answerOf(this.view()) }),
    computation: ({ id, study }, before) =>
      study ?? (this.chance() || before?.source.id !== id ? undefined : before.value),
  }).asReadonly();
  /** How far it is, while it is on its way. */
  readonly progress = computed<StudyProgress | undefined>(() => {
    const view = this.view();
    return view?.kind === 'running' ? view.progress : undefined;
  });
  /** When each step fails that does, by its path; nothing while that is not known of the procedure as it is. */
  readonly failsAt = computed<ReadonlyMap<string, string>>(() => {
    const study = this.study();
    return study && !this.isOld() && this.desk.right() ? failuresAt(study) : new Map();
  });
  readonly failed = computed(() => this.view()?.kind === 'failed');
  /** Whether what is shown is of the procedure before the last change. */
  readonly isOld = computed(() => this.view()?.kind !== 'ended');
  readonly isStopped = computed(
    () => this.stoppedFor() !== undefined && this.stoppedFor() === this.desk.settled(),
  );

  /** Runs all cases, however many there are. */
  goOn(): void {
    this.stoppedFor.set(undefined);
    this.askedFor.set(this.desk.settled());
  }

  stop(): void {
    this.stoppedFor.set(this.desk.settled());
  }
}
