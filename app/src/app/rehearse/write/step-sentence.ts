import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Step } from '@enumeron/core/file/procedure/procedure';
import { textsOf } from '@enumeron/core/file/rehearse/says';
import { sentenceBehindWho } from '@enumeron/core/file/rehearse/sentence';

/** What is said, and to whom where that is told. */
const spoken = ({ audience, text }: ReturnType<typeof textsOf>[number]): string =>
  audience === undefined ? `“${text}”` : `${audience}: “${text}”`;

/** What is said meanwhile, what a claim means, what to beware of, and a note. */
const saidIn = (step: Step): readonly string[] => {
  const { caution, note } = step;
  const claimed = 'words' in step && step.do !== 'out' ? step.words : undefined;
  const off =
    step.do === 'choose'
      ? ([
          ['Too few', step['too few']],
          ['Too many', step['too many']],
        ] as const)
      : [];
  return [
    ...textsOf(step.says).map(spoken),
    ...off.flatMap(([when, texts]) => textsOf(texts).map((each) => `${when}: ${spoken(each)}`)),
    ...(claimed ? [claimed] : []),
    ...(caution ? [`Beware: ${caution}`] : []),
    ...(note ? [note] : []),
  ];
};

/** A step as a sentence, with what is said meanwhile below it. */
@Component({
  selector: 'en-step-sentence',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="sentence">
      @for (part of parts(); track $index) {
        @if ('field' in part) {
          <span class="part slot-{{ part.slot }}" [attr.data-part]="part.field">{{ part.text || '…' }}</span>
        } @else {
          <span>{{ part.text }}</span>
        }
      }
    </span>
    @for (text of said(); track $index) {
      <span class="said">{{ text }}</span>
    }`,
  styles: `
    .sentence {
      overflow-wrap: anywhere;
      white-space: pre-wrap;
    }

    .part {
      border-bottom: 1px dotted var(--muted);
    }

    .slot-name {
      border-bottom: 1px solid var(--petrol);
      color: var(--petrol);
      font: 600 0.92em var(--mono);
      white-space: nowrap;
    }

    .said {
      display: block;
      color: var(--muted);
      font-size: 0.9rem;
    }
  `,
})
export class StepSentence {
  readonly step = input.required<Step>();
  protected readonly parts = computed(() => sentenceBehindWho(this.step()));
  protected readonly said = computed(() => saidIn(this.step()));
}
