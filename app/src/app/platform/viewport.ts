import { BreakpointObserver } from '@angular/cdk/layout';
import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** Below this the interface is laid out for one thumb; the style sheets know the same widths, in the size of the text. */
const PHONE = '(max-width: 43.749em)';
const NARROW = '(max-width: 67.499em)';
/** A phone on its side. */
const SHORT = '(max-height: 30em)';

/** What the window has room for. */
@Injectable({ providedIn: 'root' })
export class Viewport {
  private readonly state$ = inject(BreakpointObserver).observe([PHONE, NARROW, SHORT]);

  readonly phone = toSignal(this.state$.pipe(map(({ breakpoints }) => breakpoints[PHONE])), {
    initialValue: false,
  });

  /** Whether the rail is folded to its strip unless it is opened: there is little height, or it is a phone. */
  readonly foldsRail = toSignal(
    this.state$.pipe(map(({ breakpoints }) => breakpoints[PHONE] || breakpoints[SHORT])),
    { initialValue: false },
  );

  /** How many slots of the rail stand in one row: 13, 26 or 52. */
  readonly railColumns = toSignal(
    this.state$.pipe(map(({ breakpoints }) => (breakpoints[PHONE] ? 13 : breakpoints[NARROW] ? 26 : 52))),
    { initialValue: 52 },
  );
}
