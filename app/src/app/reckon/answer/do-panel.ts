import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { CardText } from '../../ui/card-text';

/** What to do: the answer, the largest thing on the sheet, or what is still lacking; and notes below it. */
@Component({
  selector: 'en-do-panel',
  imports: [CardText, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h2>Do</h2>
    <div class="answer">
      <p [class.says]="answer()" aria-live="polite">
        <en-card-text [text]="answer() ?? lacking()" />
      </p>
      @if (answer()) {
        @if (action(); as action) {
          <button mat-flat-button (click)="done.emit()">{{ action }}</button>
        }
      } @else if (example(); as example) {
        <button mat-stroked-button class="example" (click)="tried.emit()">
          For example: <en-card-text [text]="example" />
        </button>
      }
    </div>
    <ul class="notes">
      @for (note of notes(); track $index) {
        <li><en-card-text [text]="note" /></li>
      }
    </ul>`,
  styles: `
    .answer {
      margin: 0.6rem 0;
      padding: 12px 16px;
      border-radius: 4px;
      background: var(--gold-wash);
    }
    p {
      margin: 0;
    }
    button {
      margin-top: 10px;
    }
    .example {
      font-weight: 500;
    }
    .says {
      font: 700 1.6rem/1.25 var(--heading);
      letter-spacing: -0.01em;
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding: 0.4rem 0;
      border-top: 1px solid var(--line);
    }
    li:first-child {
      border-top: 0;
    }
    @media (max-width: 43.749em) {
      h2 {
        display: none;
      }
      button {
        min-height: 44px;
      }
    }
  `,
})
export class DoPanel {
  readonly answer = input<string>();
  /** What stands there while there is no answer. */
  readonly lacking = input('');
  readonly notes = input<readonly string[]>([]);
  /** What the button does, where something can be done to the pack. */
  readonly action = input<string>();
  readonly done = output();
  /** What would fill it, for whoever has nothing to tell yet. */
  readonly example = input<string>();
  readonly tried = output();
}
