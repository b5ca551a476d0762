import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { from, switchMap, takeWhile, timer } from 'rxjs';
import { Installed } from '../platform/installed';
import { secureOnly } from '../platform/secure-only';

/** Whether Enumeron works without a network here, and whether the browser keeps what is stored. */
@Component({
  selector: 'en-installed-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="installed">
    <h2 id="installed">Without a network</h2>
    @if (!isSecure) {
      <p>
        At a plain http address Enumeron needs a network for each visit, and cannot be installed. At an https
        address it works without one from the second visit on.
      </p>
    } @else if (isWhole()) {
      <p>
        Every room works without a network here. To have it among your applications, choose
        <em>Install</em> or <em>Add to the home screen</em> in the browser’s menu.
      </p>
    } @else {
      <p>It is being kept for visits without a network; that takes a few seconds.</p>
    }
    @if (persists() === true) {
      <p>The browser keeps what you store, also when it runs short of room.</p>
    } @else if (persists() === false) {
      <p>The browser may clear what you store when it runs short of room: save a backup now and then.</p>
    }
  </section>`,
  styleUrl: './section.scss',
})
export class InstalledSection {
  private readonly installed = inject(Installed);
  /** Looked at again until all files are there. */
  protected readonly isWhole = toSignal(
    timer(0, 2000).pipe(
      switchMap(() => this.installed.isWhole()),
      takeWhile((whole) => !whole, true),
    ),
    { initialValue: false },
  );
  protected readonly isSecure = secureOnly().serviceWorker !== undefined;
  protected readonly persists = toSignal(
    from(
      secureOnly()
        .storage?.persisted?.()
        .catch(() => undefined) ?? Promise.resolve(undefined),
    ),
  );
}
