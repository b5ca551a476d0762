import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** What came by an address: looked at, and kept by a press. What it holds stands below. */
@Component({
  selector: 'en-shared-page',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="shared-title">
    @if (name(); as title) {
      <h2 id="shared-title">{{ title }}</h2>
      <p class="lead">This {{ what() }} was shared with you. It isn’t saved here until you say so.</p>
      <ng-content select="[about]" />
      <p class="ways">
        <button mat-flat-button type="button" (click)="kept.emit()">Save it</button>
        <button mat-button type="button" (click)="left.emit()">Discard</button>
      </p>
      <ng-content />
    } @else {
      <h2 id="shared-title">Shared {{ what() }}</h2>
      @if (problem(); as sentence) {
        <p class="problem" role="alert">{{ sentence }}</p>
      } @else {
        <p class="lead">Reading it …</p>
      }
    }
  </section>`,
  styleUrl: './page.scss',
  styles: `
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 14px 0;
    }
    .problem {
      color: var(--red);
    }
  `,
})
export class SharedPage {
  /** What it is: `order`. */
  readonly what = input.required<string>();
  /** What it is called; undefined while it is read, or where it is none. */
  readonly name = input.required<string | null | undefined>();
  readonly problem = input.required<string | undefined>();
  readonly kept = output();
  readonly left = output();
}
