import { ChangeDetectionStrategy, Component, computed, inject, Injector, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { RailHidden } from '../nouns/pack/rail-hidden';
import { BackupsStore } from '../nouns/backups/backups.store';
import { Installed } from '../platform/installed';
import { takeOpenedFiles } from './opened-files';
import { urlSignal } from '../platform/url';

/** Where something is written: an order that is made or changed, a procedure. */
const WRITING = /^\/(?:arrange\/new|arrange\/[^/]+\/edit|rehearse\/(?!odds|busy|gather)[^/]+)/;

/** What can wait, and is not said while one practises or writes: a new version, and work that is in this browser alone. */
@Component({
  selector: 'en-quiet-signs',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (atRest()) {
    @if (installed.broken()) {
      <div class="sign offer" role="status">
        <p>The browser has cleared part of Enumeron. Reload it while there is a network.</p>
        <button mat-stroked-button type="button" (click)="installed.useNewer()">Reload</button>
      </div>
    } @else if (installed.waiting() && !put()) {
      <div class="sign offer" role="status">
        <p>A new version of Enumeron is here. It comes with the next reload.</p>
        <button mat-stroked-button type="button" (click)="installed.useNewer()">Reload now</button>
        <button mat-button type="button" (click)="put.set(true)">Later</button>
      </div>
    }
    @if (backups.atRisk(); as days) {
      @if (!later()) {
        <div class="sign offer" role="status">
          <p>
            The work of {{ days }} days is in this browser only, and the browser may clear it. Save a backup.
          </p>
          <a mat-stroked-button routerLink="/settings" fragment="data">Save a backup</a>
          <button mat-button type="button" (click)="later.set(true)">Later</button>
        </div>
      }
    }
  }`,
  styleUrl: '../ui/sign.scss',
})
export class QuietSigns {
  protected readonly installed = inject(Installed);
  protected readonly backups = inject(BackupsStore);
  private readonly drill = inject(RailHidden).why;
  private readonly url = urlSignal();
  protected readonly atRest = computed(() => this.drill() === undefined && !WRITING.test(this.url()));
  protected readonly put = signal(false);
  protected readonly later = signal(false);

  constructor() {
    takeOpenedFiles(inject(Injector));
    // Where it is refused everything works as before, with a network.
    this.installed.begin().catch((error: unknown) => console.warn(error));
  }
}
