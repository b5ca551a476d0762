import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Share } from '@enumeron/core/file/record/within';

/** A rate as a bar, with its interval as a line. */
@Component({
  selector: 'en-rate-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="all" aria-hidden="true">
    <span class="share" [style.width.%]="100 * rate().share"></span>
    <span
      class="between"
      [style.left.%]="100 * rate().low"
      [style.width.%]="100 * (rate().high - rate().low)"
    ></span>
  </span>`,
  styles: `
    .all {
      display: block;
      position: relative;
      height: 12px;
      border-radius: 2px;
      background: var(--line-faint);
    }
    .share {
      position: absolute;
      inset: 2px auto 2px 0;
      border-radius: 2px;
      background: var(--petrol);
    }
    .between {
      position: absolute;
      top: 5px;
      height: 2px;
      background: var(--gold-line);
      box-shadow:
        -1px 0 0 1px var(--gold-line),
        1px 0 0 1px var(--gold-line);
    }
  `,
})
export class RateBar {
  readonly rate = input.required<Share>();
}
