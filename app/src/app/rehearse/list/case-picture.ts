import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How high the picture is in its own measure, and how wide a bar is of the room that it has. */
const [HIGH, WIDE] = [9, 0.8];

const bar = (index: number, from: number, to: number): string =>
  to > from
    ? `M${index.toString()} ${from.toString()}h${WIDE.toString()}V${to.toString()}h-${WIDE.toString()}z`
    : '';

/**
 * How the cases of a procedure end, a bar for each part of them in their order: what works stands on top, what ends in
 * an out is hatched below it, what fails lies at the bottom. A picture for the eye beside what is said.
 */
@Component({
  selector: 'en-case-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="'0 0 ' + bars().length + ' ${HIGH}'" preserveAspectRatio="none">
    @for (path of paths(); track path.end) {
      <path class="{{ path.end }}" [attr.d]="path.d" />
    }
  </svg>`,
  host: { 'aria-hidden': 'true' },
  styles: `
    :host {
      display: block;
      height: 1.1rem;
    }

    svg {
      display: block;
      width: 100%;
      height: 100%;
      shape-rendering: crispEdges;
    }

    .held {
      fill: var(--petrol);
    }

    .outs {
      fill: var(--muted);
      opacity: 0.55;
    }

    .failed {
      fill: var(--red);
    }
  `,
})
export class CasePicture {
  /** Two digits for each part of the cases: the tenths that fail, and those that end in an out. */
  readonly digits = input.required<string>();
  protected readonly bars = computed(() =>
    (this.digits().match(/\d\d/g) ?? []).map((each) => ({ failed: Number(each[0]), outs: Number(each[1]) })),
  );
  protected readonly paths = computed(() => {
    const all = this.bars();
    const join = (make: (bar: (typeof all)[number], index: number) => string): string =>
      all.map(make).join('');
    return [
      { end: 'held', d: join(({ failed, outs }, index) => bar(index, 0, HIGH - failed - outs)) },
      { end: 'outs', d: join(({ failed, outs }, index) => bar(index, HIGH - failed - outs, HIGH - failed)) },
      { end: 'failed', d: join(({ failed }, index) => bar(index, HIGH - failed, HIGH)) },
    ];
  });
}
