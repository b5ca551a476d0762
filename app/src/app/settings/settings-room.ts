import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatIcon } from '@angular/material/icon';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { Problem, sayProblem } from '@enumeron/core/deck';
import { Tolerance } from '@enumeron/core/reckon';
import { BackupService, backupName } from '../data/backup';
import { Boot } from '../data/boot';
import { Journal } from '../data/journal';
import { OrdersStore } from '../data/orders.store';
import { SettingsStore } from '../data/settings.store';
import { download } from '../shared/download';
import { Notices } from '../shared/notices';
import { readTextFile } from '../shared/read-file';

/** The largest file that is read as a backup. */
const BACKUP_LIMIT = 20_000_000;

/** How Enumeron looks and acts, and what it keeps: backup, restore, sample orders, erase. */
@Component({
  selector: 'en-settings-room',
  imports: [MatButton, MatButtonToggle, MatButtonToggleGroup, MatIcon, MatSlideToggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-room.html',
  styleUrl: './settings-room.scss',
})
export class SettingsRoom {
  private readonly store = inject(SettingsStore);
  private readonly backup = inject(BackupService);
  private readonly orders = inject(OrdersStore);
  private readonly journal = inject(Journal);
  private readonly boot = inject(Boot);
  private readonly notices = inject(Notices);

  protected readonly settings = this.store.settings;
  protected readonly tolerance = this.store.tolerance;
  protected readonly counts = Array.from({ length: 13 }, (_, index) => index);
  protected readonly handlings = [
    { name: 'turnTheNext', words: 'Deal to the number and turn the next card' },
    { name: 'fromTheFace', words: 'Count from the face' },
    { name: 'cut', words: 'A cut in the open' },
    { name: 'hold', words: 'Hold the helper to another number' },
  ] as const;
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly erasing = signal(false);
  protected readonly sayProblem = sayProblem;
  protected readonly change = (part: Parameters<SettingsStore['change']>[0]): unknown =>
    this.store.change(part);

  protected tolerate(part: Partial<Tolerance>): void {
    void this.store.change({ tolerance: { ...this.tolerance(), ...part } });
  }

  protected tolerateWay(name: (typeof this.handlings)[number]['name'], used: boolean): void {
    this.tolerate({ [name]: used });
  }

  protected async save(): Promise<void> {
    const now = new Date();
    download(await this.backup.make(now), backupName(now), 'application/json');
    void this.notices.show(`Saved as ${backupName(now)}`);
  }

  protected async restore(input: HTMLInputElement): Promise<void> {
    const file = input.files?.item(0);
    input.value = '';
    if (!file) return;
    const read = await readTextFile(file, BACKUP_LIMIT, 'a backup');
    const outcome = read.ok ? await this.backup.read(read.text) : read;
    this.problems.set(outcome.ok ? [] : outcome.problems);
    if (!outcome.ok) return;
    await this.backup.restore(outcome.backup);
    const { length } = outcome.backup.orders;
    void this.notices.offerUndo(`Restored: ${length} orders, the pack and the settings.`, () =>
      this.journal.undo(),
    );
  }

  protected async restoreSamples(): Promise<void> {
    await this.orders.restoreSamples();
    void this.notices.offerUndo('The sample orders are laid out again.', () => this.journal.undo());
  }

  protected async erase(): Promise<void> {
    await this.boot.eraseAll();
    this.erasing.set(false);
    void this.notices.show('Everything is erased. This is the first visit again.');
  }
}
