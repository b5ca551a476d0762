import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Step } from '@enumeron/core/file/procedure/procedure';
import { Line } from '@enumeron/core/file/rehearse/editSteps';
import { claimsAnything } from '@enumeron/core/file/procedure/walk';
import { NOTHING_CLAIMED, sayProof, sayShare } from '@enumeron/core/file/rehearse/sayProof';
import { audiencesIn, saidTo } from '@enumeron/core/file/rehearse/says';
import { sentenceBehindWho, whoOf } from '@enumeron/core/file/rehearse/sentence';
import { ByRecord } from '../../nouns/procedures/by-record';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { Desk } from '../desk/desk.store';
import { Proving } from '../prove/proving.store';
import { titled } from '../../ui/titled';

/** How narrow the interval becomes where chance enters, and how many worlds are tried at most for it. */
const [WIDTH, WORLDS] = [0.02, 200_000];
/** More lines than this are printed small. */
const LONG = 30;

/** A line of the script, with what is said at it. */
interface ScriptLine {
  readonly depth: number;
  readonly number: string;
  readonly who: string;
  readonly text: string;
  readonly says: readonly string[];
  readonly beware: string | undefined;
  readonly note: string | undefined;
}

const quoted = (text: string | undefined, before = ''): string[] =>
  text === undefined ? [] : [`${before}“${text}”`];

/** What is said at a step to an audience. */
const saidAt = (step: Step, audience: string): readonly string[] => [
  ...quoted(saidTo(step.says, audience)),
  ...(step.do === 'choose'
    ? [
        ...quoted(saidTo(step['too few'], audience), 'Too few: '),
        ...quoted(saidTo(step['too many'], audience), 'Too many: '),
      ]
    : []),
];

const scriptLine = (line: Line, audience: string): ScriptLine => {
  if (line.kind !== 'step')
    return {
      ...{ depth: line.depth, number: '', who: '', text: line.words },
      ...{ says: [], beware: undefined, note: undefined },
    };
  const { step } = line;
  // What a claim means says more than how it is checked.
  const meant = 'words' in step && step.do !== 'out' ? step.words : undefined;
  const sentence = sentenceBehindWho(step)
    .map((part) => part.text)
    .join('');
  return {
    ...{ depth: line.depth, number: line.path, who: whoOf(step), says: saidAt(step, audience) },
    ...{ text: meant ?? sentence, beware: step.caution, note: step.note },
  };
};

/** A procedure on one page of paper: what it needs, its steps with what is said, how to reset, and its proof. */
@Component({
  selector: 'en-script-page',
  imports: [MatButton, RouterLink],
  providers: [Desk, Proving],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script-page.html',
  styleUrls: ['../../ui/page.scss', './script-page.scss'],
})
export class ScriptPage {
  /** The procedure's id, from the route. */
  readonly id = input.required<string>();

  protected readonly desk = inject(Desk);
  private readonly proving = inject(Proving);
  private readonly byRecord = inject(ByRecord);

  protected readonly procedure = computed(() => this.desk.procedure());
  protected readonly audiences = computed(() => {
    const procedure = this.procedure();
    return procedure ? audiencesIn(procedure) : [];
  });
  private readonly chosen = signal<string | undefined>(undefined);
  protected readonly audience = computed(
    () => this.audiences().find((each) => each === this.chosen()) ?? this.audiences().at(0) ?? '',
  );
  protected readonly lines = computed(() =>
    this.desk.lines().map((line) => scriptLine(line, this.audience())),
  );
  protected readonly isLong = computed(() => this.lines().length > LONG);
  protected readonly givens = computed(() =>
    Object.entries(this.procedure()?.givens ?? {})
      .map(([name, value]) => `${name} ${value.toString()}`)
      .join(', '),
  );

  private readonly job = jobView('estimate', () => {
    const procedure = this.desk.settled();
    return procedure && this.proving.chance()
      ? { procedure, seed: 1, worlds: WORLDS, width: WIDTH }
      : undefined;
  });
  /** What is known of it: the proof's sentence, or how often it works where chance enters. */
  protected readonly proof = computed(() => {
    if (this.desk.damaged() !== undefined) return '';
    if (!this.desk.right()) return 'It is not right yet: something in it is wrong.';
    if (this.proving.chance()) {
      const tried = answerOf(this.job());
      if (!tried) return 'Trying it …';
      if (!claimsAnything(this.desk.right()?.steps ?? [])) return `${NOTHING_CLAIMED}.`;
      const { held, worlds } = tried;
      return `It works in ${sayShare(held.low)} to ${sayShare(held.high)} of all, as far as ${worlds.toLocaleString('en')} tries tell.`;
    }
    const study = this.proving.study();
    if (!study || this.proving.isOld()) return 'Proving it …';
    const { answer, more } = sayProof(study);
    const weighed = this.byRecord.choicesOf(this.id()).some(({ fit }) => (fit?.n ?? 0) > 0);
    return `${answer}. ${more}${weighed ? ' Weighed by my record.' : ''}`.trim();
  });

  constructor() {
    titled('Rehearse', () => `Script · ${this.desk.procedure()?.name ?? ''}`);
    effect(() => {
      this.desk.id.set(this.id());
    });
  }

  protected speakTo(audience: string): void {
    this.chosen.set(audience);
  }

  protected print(): void {
    window.print();
  }
}
