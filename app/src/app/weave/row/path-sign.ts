import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { PATH_MARKS } from './path-marks';

/** A short piece of a followed card's line, to know it by. */
@Component({
  selector: 'en-path-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 36 14" aria-hidden="true" class="path-{{ index() }}">
      <path class="stroke" d="M1,7L35,7" [attr.stroke-dasharray]="mark().dash || null" />
      <path class="sign" transform="translate(18,7)" [attr.d]="mark().sign" /></svg
    ><span class="spoken">{{ mark().name }} line</span>`,
  styleUrl: './path-colours.scss',
  styles: `
    svg {
      display: block;
      width: 36px;
      height: 14px;
    }
  `,
})
export class PathSign {
  /** Which of the followed cards, from 0. */
  readonly index = input.required<number>();
  protected readonly mark = computed(() => PATH_MARKS[this.index() % PATH_MARKS.length]);
}
