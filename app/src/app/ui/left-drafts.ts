import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { DraftRow } from '../storage/kinds/drafts';

/** How much of a text is shown, in characters. */
const SHOWN = 40;

/** What was being written in a tab that is gone, to go on with or to throw away. */
@Component({
  selector: 'en-left-drafts',
  imports: [DatePipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (draft of drafts(); track draft.id) {
    <div class="sign within offer" role="status">
      <p>
        Unfinished{{ draft.at > 0 ? ' since ' : ''
        }}{{ draft.at > 0 ? (draft.at | date: 'd MMMM, HH:mm') : '' }}:
        <span class="says">{{ says(draft) }}</span>
      </p>
      <button mat-stroked-button type="button" (click)="taken.emit(draft)">Go on with it</button>
      <button mat-button type="button" (click)="thrown.emit(draft)">Discard</button>
    </div>
  }`,
  styleUrls: ['./sign.scss'],
  styles: `
    .says {
      font-family: var(--mono);
    }
  `,
})
export class LeftDrafts {
  readonly drafts = input.required<readonly DraftRow[]>();
  readonly taken = output<DraftRow>();
  readonly thrown = output<DraftRow>();

  /** The beginning of what was written. */
  protected says({ fields }: DraftRow): string {
    const texts = Object.values(fields).filter((value) => typeof value === 'string' && value.trim() !== '');
    const text = texts.join(', ').replace(/\s+/g, ' ');
    return text.length > SHOWN ? `${text.slice(0, SHOWN)} …` : text;
  }
}
