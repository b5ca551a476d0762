import { CountPipe } from '../ui/count-pipe';
import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Outcome, Problem, sayProblem } from '@enumeron/core/deck';
import { from } from 'rxjs';
import { backupName, BackupService, Preview, RestoreWay } from '../nouns/backups/backup';
import { Icons } from '../ui/icons';
import { BackupsStore, SnapshotNote } from '../nouns/backups/backups.store';
import { SnapshotReason } from '../nouns/backups/snapshots.kind';
import { OrdersStore } from '../nouns/orders/orders.store';
import { SampleRoom } from '../storage/sample-room';
import { Undoing } from '../storage/undoing';
import { download } from '../platform/download';
import { Notices } from '../platform/notices';
import { once } from '../platform/once';
import { secureOnly } from '../platform/secure-only';
import { inWords } from '../platform/read-file';
import { RestorePreview } from './restore-preview';

const REASONS: Readonly<Record<SnapshotReason, string>> = {
  restore: 'before the last restore',
  erase: 'before everything was erased',
  week: 'the weekly one',
};

/** How much room the browser gives, and whether it promised to keep what is in it. */
const roomInBrowser = async (): Promise<string> => {
  const { storage } = secureOnly();
  const [kept, estimate] = [await storage?.persisted?.(), await storage?.estimate?.()];
  const used =
    estimate?.usage === undefined ? '' : `${inWords(estimate.usage)} of this browser’s storage is used. `;
  return kept
    ? `${used}The browser has promised to keep it.`
    : `${used}The browser may clear it when it runs short of room: save backups.`;
};

/** Backups out and in, the snapshots inside the browser, and the samples. */
@Component({
  selector: 'en-data-section',
  imports: [CountPipe, DatePipe, MatButton, MatIcon, RestorePreview],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './data-section.html',
  styleUrl: './section.scss',
})
export class DataSection {
  constructor() {
    inject(Icons);
  }

  private readonly backup = inject(BackupService);
  protected readonly backups = inject(BackupsStore);
  private readonly orders = inject(OrdersStore);
  private readonly samples = inject(SampleRoom);
  private readonly undoing = inject(Undoing);
  private readonly notices = inject(Notices);

  protected readonly room = toSignal(from(roomInBrowser()));
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly preview = signal<Preview | undefined>(undefined);
  protected readonly busy = signal(false);
  protected readonly snapshots = computed(() =>
    this.backups.snapshots().map((each) => ({ ...each, says: `${REASONS[each.id]}, ${inWords(each.size)}` })),
  );
  protected readonly sayProblem = sayProblem;

  protected readonly save = once('save a backup', async () => {
    const now = new Date();
    const outcome = await this.while(this.backup.make(now));
    this.problems.set(outcome.ok ? [] : outcome.problems);
    if (!outcome.ok) return;
    download(outcome.text, backupName(now), 'application/json');
    await this.backup.saved(now);
    void this.notices.show(`Saved as ${backupName(now)}`);
  });

  protected readonly restoreSamples = once('restore the samples', async () => {
    await this.orders.restoreSamples();
    await this.samples.again();
    const says = 'The sample orders are back. The other samples come back when you open their rooms.';
    void this.notices.offerUndo(says, () => this.undoing.undo('table'));
  });

  protected async choose(input: HTMLInputElement): Promise<void> {
    const file = input.files?.item(0);
    input.value = '';
    if (file) await this.look(file);
  }

  protected async lookAt({ id, at }: SnapshotNote): Promise<void> {
    const text = await this.backups.text(id);
    if (text !== undefined) await this.look(new File([text], backupName(new Date(at))));
  }

  protected async keepAsFile({ id, at }: SnapshotNote): Promise<void> {
    const text = await this.backups.text(id);
    if (text !== undefined) download(text, backupName(new Date(at)), 'application/json');
  }

  protected readonly restore = once('restore a backup', async (way: RestoreWay) => {
    const preview = this.preview();
    if (!preview) return;
    try {
      await this.while(this.backup.restore(preview, way, new Date()));
    } catch (error) {
      console.warn(error);
      this.problems.set([{ what: 'Storage refused it.', remedy: 'Make room on the disk, then try again.' }]);
      return;
    }
    this.preview.set(undefined);
    void this.notices.offerUndo(
      way === 'replace' ? 'Everything is as in the backup.' : 'What was new is added.',
      () => this.undoing.undo('table'),
    );
  });

  protected leave(): void {
    this.preview.set(undefined);
  }

  private async look(file: File): Promise<void> {
    this.preview.set(undefined);
    const outcome: Outcome<{ preview: Preview }> = await this.while(this.backup.read(file));
    this.problems.set(outcome.ok ? [] : outcome.problems);
    if (outcome.ok) this.preview.set(outcome.preview);
  }

  /** Shows that something is under way. */
  private async while<Result>(work: Promise<Result>): Promise<Result> {
    this.busy.set(true);
    try {
      return await work;
    } finally {
      this.busy.set(false);
    }
  }
}
