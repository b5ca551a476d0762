import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { speakCard, suitOf } from '@enumeron/core/deck';
import { Slot } from './slot';

/** What is said of the slots with a mark: `wanted: seven of diamonds at 17`. */
const sayMarked = (slots: readonly Slot[], mark: 'wanted' | 'seen', words: string): string[] => {
  const marked = slots.filter(({ marks }) => marks.includes(mark));
  return marked.length === 0
    ? []
    : [`${words}: ${marked.map(({ card, place }) => `${speakCard(card)} at ${place}`).join(', ')}`];
};

/** The rail folded to its strip, with the seam, what is wanted and what was seen. A tap opens or folds it. */
@Component({
  selector: 'en-rail-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<button
    type="button"
    [attr.aria-expanded]="open()"
    [attr.aria-label]="label()"
    (click)="toggled.emit()"
  >
    <span class="bars" aria-hidden="true">
      @for (slot of slots(); track slot.place) {
        <span
          class="bar bar-{{ suit(slot) }}"
          [class.wanted]="slot.marks.includes('wanted')"
          [class.number]="slot.marks.includes('number')"
          [class.seen]="slot.marks.includes('seen')"
        ></span>
      }
      @if (seam() !== undefined) {
        <span class="seam" [style.left.%]="((seam() ?? 0) / slots().length) * 100"></span>
      }
    </span>
    <span class="sign" aria-hidden="true">{{ open() ? '▴' : '▾' }}</span>
  </button>`,
  styleUrl: '../../ui/charts/bars.scss',
  styles: `
    button {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 1.4rem;
      align-items: center;
      width: 100%;
      min-height: 44px;
      padding: 0 4px 0 8px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      cursor: pointer;
    }
    .bars {
      display: flex;
      gap: 1px;
      position: relative;
      align-items: center;
      height: 30px;
    }
    .bar {
      position: relative;
      height: 18px;
    }
    /* Each mark has a shape of its own: the whole height, a point below, a frame. */
    .wanted {
      height: 30px;
      background: var(--gold);
    }
    .number::after {
      content: '';
      position: absolute;
      left: 50%;
      bottom: -6px;
      border: 5px solid transparent;
      border-top: 0;
      border-bottom-color: var(--ink);
      transform: translate(-50%, 100%);
      margin-bottom: 5px;
    }
    .seen {
      outline: 2px solid var(--petrol);
      outline-offset: 1px;
    }
    .seam {
      position: absolute;
      inset: -2px auto -2px;
      width: 4px;
      margin-left: -2.5px;
      border-radius: 2px;
      background: var(--petrol);
    }
    .sign {
      color: var(--muted);
      font-size: 0.9rem;
      text-align: right;
    }
    @media (forced-colors: active) {
      .bar,
      .seam {
        forced-color-adjust: none;
      }
      .wanted {
        background: Highlight;
      }
      .number::after {
        border-bottom-color: CanvasText;
      }
      .seen {
        outline-color: CanvasText;
      }
      .seam {
        background: Highlight;
      }
    }
  `,
})
export class RailStrip {
  readonly slots = input.required<readonly Slot[]>();
  /** After how many cards the seam lies, where there is one. */
  readonly seam = input<number>();
  readonly open = input(false);
  readonly toggled = output();

  protected suit({ card, guess }: Slot): number | undefined {
    return guess?.chance === 0 ? undefined : suitOf(card);
  }

  protected readonly label = computed(() =>
    [
      this.open() ? 'Fold the rail' : 'Open the rail',
      ...sayMarked(this.slots(), 'wanted', 'wanted'),
      ...sayMarked(this.slots(), 'seen', 'seen'),
    ].join('. '),
  );
}
