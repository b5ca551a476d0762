import { afterNextRender, DestroyRef, Directive, ElementRef, inject, input } from '@angular/core';

/** What the arrow keys add to an index in a grid of so many columns. */
const STEPS: Readonly<Record<string, (columns: number) => number>> = {
  ArrowLeft: () => -1,
  ArrowRight: () => 1,
  ArrowUp: (columns) => -columns,
  ArrowDown: (columns) => columns,
};

/** One tab stop for all buttons or links inside; the arrow keys, Home and End go from one to the next. */
@Directive({ selector: '[enRovingGrid]' })
export class RovingGrid {
  /** How many buttons stand in a row. */
  readonly columns = input.required<number>({ alias: 'enRovingGrid' });
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private stop: HTMLElement | undefined;

  constructor() {
    const changed = new MutationObserver(() => this.settle());
    afterNextRender(() => {
      this.settle();
      changed.observe(this.host, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    });
    // Angular need not know: a listener of its own would have it look at every cell again.
    this.host.addEventListener('keydown', (event) => this.move(event));
    this.host.addEventListener('focusin', ({ target }) => this.stopAt(target));
    inject(DestroyRef).onDestroy(() => changed.disconnect());
  }

  /** Leaves one tab stop, once cells have come, gone or changed whether they can be used. */
  private settle(): void {
    const buttons = this.buttons();
    this.stop = this.stop && buttons.includes(this.stop) ? this.stop : buttons.at(0);
    for (const button of buttons) {
      const index = button === this.stop ? 0 : -1;
      if (button.tabIndex !== index) button.tabIndex = index;
    }
  }

  private move(event: KeyboardEvent): void {
    const buttons = this.buttons();
    const from = buttons.indexOf(event.target as HTMLElement);
    if (from < 0 || event.ctrlKey || event.metaKey || event.altKey) return;
    const last = buttons.length - 1;
    const to =
      event.key === 'Home'
        ? 0
        : event.key === 'End'
          ? last
          : event.key in STEPS
            ? from + STEPS[event.key](this.columns())
            : from;
    if (to === from || to < 0 || to > last) return;
    event.preventDefault();
    buttons[to].focus();
  }

  private stopAt(target: EventTarget | null): void {
    const button = this.buttons().find((candidate) => candidate === target);
    if (!button) return;
    if (this.stop) this.stop.tabIndex = -1;
    this.stop = button;
    button.tabIndex = 0;
  }

  private buttons(): HTMLElement[] {
    return [...this.host.querySelectorAll<HTMLElement>('[data-cell]:not(:disabled)')];
  }
}
