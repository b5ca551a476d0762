import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { BackupService } from '../nouns/backups/backup';
import { Icons } from '../ui/icons';
import { Boot } from '../boot';
import { Notices } from '../platform/notices';
import { once } from '../platform/once';

/** Takes everything away, after asking. */
@Component({
  selector: 'en-erase-section',
  imports: [MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="erase">
    <h2 id="erase">Erase</h2>
    @if (erasing()) {
      <p class="lead">
        This takes away every order, the pack, what you were writing and the settings; undo does not bring
        them back. A snapshot stays in this browser, unless you erase that too.
      </p>
      <label class="choice">
        <input #box type="checkbox" [checked]="snapshots()" (change)="snapshots.set(box.checked)" />
        Erase the snapshots too: nothing at all stays
      </label>
      <div class="actions">
        <button mat-flat-button class="danger" (click)="erase()">Erase everything now</button>
        <button mat-button (click)="erasing.set(false)">Cancel</button>
      </div>
    } @else {
      <button mat-stroked-button (click)="erasing.set(true)">
        <mat-icon svgIcon="delete" /> Erase everything …
      </button>
    }
    @if (problem(); as sentence) {
      <p class="problems" role="alert">{{ sentence }}</p>
    }
  </section>`,
  styleUrl: './section.scss',
})
export class EraseSection {
  constructor() {
    inject(Icons);
  }

  private readonly boot = inject(Boot);
  private readonly backup = inject(BackupService);
  private readonly notices = inject(Notices);

  protected readonly erasing = signal(false);
  /** Whether the snapshots go as well. */
  protected readonly snapshots = signal(false);
  protected readonly problem = signal<string | undefined>(undefined);

  protected readonly erase = once('erase everything', async () => {
    try {
      if (!this.snapshots()) await this.backup.takeSnapshot('erase', new Date());
      await this.boot.eraseAll(this.snapshots());
    } catch (error) {
      console.warn(error);
      this.problem.set('Nothing has been erased: storage refused. Try again.');
      return;
    }
    this.problem.set(undefined);
    this.erasing.set(false);
    void this.notices.show('Everything is erased. Enumeron is as on a first visit.');
  });
}
