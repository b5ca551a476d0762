import { Clipboard } from '@angular/cdk/clipboard';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatAutocompleteOrigin } from '@angular/material/autocomplete';
import { byOf, Likely, Step } from '@enumeron/core/file/procedure/procedure';
import { LATER } from '@enumeron/core/file/procedure/steps';
import { pathOf, without } from '@enumeron/core/file/rehearse/editSteps';
import { sayWho, sentenceBehindWho } from '@enumeron/core/file/rehearse/sentence';
import { Notices } from '../../platform/notices';
import { Desk } from '../desk/desk.store';
import { LeadField } from './lead-field';
import { ByRecordField } from './by-record-field';
import { LikelyField } from './likely-field';
import { StepField } from './step-field';

/** Fields that a step may have more, with what they begin with and how they are offered. */
const MORE: Readonly<Record<string, readonly (readonly [field: string, offer: string, begin: unknown])[]>> = {
  'deal round': [['count', 'not all cards', 1]],
  riffle: [
    ['times', 'more than once', 2],
    ['keep top', 'keep top cards', 1],
    ['keep face', 'keep face cards', 1],
  ],
};
const SHUFFLES: ReadonlySet<Step['do']> = new Set(['riffle', 'overhand', 'mix']);

/** Texts that a step may have. */
const SAID: ReadonlySet<string> = new Set(['says', 'too few', 'too many']);
const TEXTS = [
  ['says', 'What is said'],
  ['too few', 'Where they choose too few'],
  ['too many', 'Where they choose too many'],
  ['caution', 'Beware of'],
  ['note', 'Note'],
] as const;

const audience = /^([^:\n]{1,40}):\s*(.+)$/;

/** What is said to everybody, or a line for each audience. */
const textOf = (value: unknown): string =>
  typeof value === 'object' && value !== null
    ? Object.entries(value)
        .map(([who, text]) => `${who}: ${String(text)}`)
        .join('\n')
    : typeof value === 'string'
      ? value
      : '';

const saysOf = (text: string): unknown => {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  const parts = lines.map((line) => audience.exec(line));
  return lines.length > 0 && parts.every((part) => part !== null)
    ? Object.fromEntries(parts.map(([, who, words]) => [who.trim(), words]))
    : text;
};

/** The chosen step with a field for each of its parts, and what can be said of it beside. */
@Component({
  selector: 'en-step-fields',
  imports: [ByRecordField, LeadField, LikelyField, MatAutocompleteOrigin, StepField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown.enter)': 'goOn($event)' },
  templateUrl: './step-fields.html',
  styleUrl: './step-fields.scss',
})
export class StepFields {
  readonly path = input.required<string>();
  readonly step = input.required<Step>();
  protected readonly parts = computed(() => sentenceBehindWho(this.step()));
  protected readonly desk = inject(Desk);
  private readonly clipboard = inject(Clipboard);
  private readonly notices = inject(Notices);

  private readonly fields = computed(() => this.step() as unknown as Readonly<Record<string, unknown>>);
  protected readonly by = computed(() => {
    const step = this.step();
    // A repeat has somebody who does it, though its sentence does not say so.
    return sayWho(step) === undefined && step.do !== 'repeat' ? undefined : byOf(step);
  });
  protected readonly isChoice = computed(
    () => this.step().do === 'choose' || this.step().do === 'choose one',
  );
  /** The step where a number is chosen. */
  protected readonly choice = computed(() => {
    const step = this.step();
    return step.do === 'choose' ? step : undefined;
  });
  /** The step where anything is chosen. */
  protected readonly anyChoice = computed(() => {
    const step = this.step();
    return step.do === 'choose' || step.do === 'choose one' ? step : undefined;
  });
  protected readonly told = computed(() => this.fields()['told'] === true);
  protected readonly likely = computed(() => this.fields()['likely'] as Likely | undefined);
  protected readonly most = computed(() => this.fields()['most'] as number | undefined);
  protected readonly isWhile = computed(() => 'while' in this.step());
  protected readonly words = computed(() => (this.fields()['words'] as string | undefined) ?? '');
  protected readonly isClaim = computed(
    () => this.step().do.startsWith('claim') || this.step().do === 'require',
  );
  protected readonly more = computed(() => {
    const { do: kind } = this.step();
    const rows = MORE[SHUFFLES.has(kind) ? 'riffle' : kind] as (typeof MORE)[string] | undefined;
    return (rows ?? []).map(([field, offer, begin]) => ({
      ...{ field, offer, begin },
      has: this.fields()[field] !== undefined,
    }));
  });
  protected readonly texts = computed(() =>
    TEXTS.filter(([field]) => this.step().do === 'choose' || !field.startsWith('too')).map(
      ([field, label]) => ({ field, label, value: textOf(this.fields()[field]) }),
    ),
  );
  protected readonly hasOtherwise = computed(() => {
    const step = this.step();
    return step.do === 'if' && (step.otherwise?.length ?? 0) > 0;
  });

  /** What only the performer's own step may be: done by feel, or chosen uncounted. */
  protected readonly flag = computed(() => {
    const step = this.step();
    if (byOf(step) !== 'performer') return undefined;
    if (step.do === 'choose') return step.told ? undefined : { field: 'uncounted', label: 'uncounted' };
    return LATER[step.do]?.includes('felt') ? { field: 'felt', label: 'by feel' } : undefined;
  });
  protected readonly byFace = computed(() => {
    const step = this.step();
    if (step.do !== 'take') return undefined;
    return step.card === undefined ? 'look for a card' : 'the card at a place';
  });
  protected readonly clearsUp = computed(() => {
    const step = this.step();
    return step.do === 'out' && step.steps !== undefined;
  });

  protected valueOf(field: string): unknown {
    return this.fields()[field];
  }

  protected set(field: string, value: unknown): void {
    this.desk.set(this.path(), field, value);
  }

  protected writeText(field: string, text: string): void {
    const value = SAID.has(field) ? saysOf(text) : text;
    this.set(field, text === '' ? undefined : value);
  }

  /** Add an option, or the last one less. */
  protected addWay(): void {
    const step = this.step();
    if (step.do === 'choose one') this.set('of', [...step.of, { words: 'Another.', steps: [] }]);
  }

  protected removeWay(): void {
    const step = this.step();
    if (step.do === 'choose one' && step.of.length > 1) this.set('of', step.of.slice(0, -1));
  }

  /** Enter goes on to the next step from every field of one line; in words of several, Shift and Enter break the line. */
  protected goOn(event: Event): void {
    const { target } = event;
    const isField =
      target instanceof HTMLInputElement ||
      target instanceof HTMLSelectElement ||
      target instanceof HTMLTextAreaElement;
    if (!isField || event.defaultPrevented || (event instanceof KeyboardEvent && event.isComposing)) return;
    if (event instanceof KeyboardEvent && event.shiftKey) return;
    event.preventDefault();
    // What is written on change is written before one is elsewhere.
    target.blur();
    this.desk.wanted.set({ what: 'add' });
  }

  /** A card that is looked for through the faces, or the one at a place. */
  protected takeOther(): void {
    const step = this.step();
    if (step.do !== 'take') return;
    const other: Step =
      step.card === undefined
        ? { ...without(step, 'place'), card: { card: 'AC' } }
        : { ...without(step, 'card'), place: 1 };
    this.desk.write(this.path(), other);
  }

  protected clearUp(): void {
    this.set('steps', []);
    this.desk.place([...pathOf(this.path()), 1, 1]);
  }

  protected otherwise(): void {
    this.desk.place([...pathOf(this.path()), 2, 1]);
  }

  /** Copies what is chosen, where a keyboard is not at hand. */
  protected copy(): void {
    // The CDK's way works at a plain http address, too, where there is no `navigator.clipboard`.
    const copied = this.clipboard.copy(JSON.stringify(this.desk.chosenSteps(), undefined, 2));
    void this.notices.show(
      copied ? 'Copied. Paste it below the step that is chosen then.' : 'This browser won’t copy.',
    );
  }
}
