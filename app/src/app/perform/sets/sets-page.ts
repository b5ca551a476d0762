import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { newSet } from '@enumeron/core/file/perform/routine';
import { LONGEST_SET_FILE } from '@enumeron/core/file/perform/setFile';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SAMPLE_KINDS } from '../../nouns/sets/sample';
import { SetRow } from '../../nouns/sets/sets.kind';
import { SetsStore } from '../../nouns/sets/sets.store';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { readTextFile } from '../../platform/read-file';
import { packText } from '../../platform/packed-text';
import { SampleRoom } from '../../storage/sample-room';
import { Undoing } from '../../storage/undoing';

/** The sets that the user has: begun, opened from a file, removed. */
@Component({
  selector: 'en-sets-page',
  imports: [MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sets-page.html',
  styleUrls: ['../../ui/page.scss', '../../ui/sample-line.scss', '../../ui/lists.scss'],
})
export class SetsPage {
  private readonly store = inject(SetsStore);
  private readonly routines = inject(RoutinesStore);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);
  private readonly sample = inject(SampleRoom);

  protected readonly problem = signal('');
  protected readonly rows = computed(() =>
    this.store.all()?.map((row) => {
      const routines = row.set.order.flatMap((id) => this.routines.find(id)?.routine ?? []);
      const minutes = routines.reduce((sum, routine) => sum + routine.minutes, 0);
      const count = countOf(row.set.order.length, 'routine');
      return {
        ...{ row, id: row.id, name: row.set.name },
        says: `${count}, ${countOf(minutes, 'minute')}${row.set.interval === undefined ? '' : ', an interval'}`,
        names: routines.map(({ name }) => name).join(' · '),
      };
    }),
  );
  protected readonly hasSample = computed(
    () =>
      this.store.all()?.some(({ sample }) => sample) === true ||
      this.routines.all()?.some(({ sample }) => sample) === true,
  );

  protected readonly begin = once('begin a set', async () => {
    const names = new Set(this.store.all()?.map(({ set }) => set.name));
    let name = 'New set';
    for (let number = 2; names.has(name); number++) name = `New set ${number.toString()}`;
    await this.router.navigate(['/perform', this.store.add(newSet(name))]);
  });

  protected readonly open = once('open a set', async (file: File | undefined) => {
    if (!file) return;
    const read = await readTextFile(file, LONGEST_SET_FILE, 'sets');
    this.problem.set(read.ok ? '' : `${file.name} is not opened. ${read.problems[0].what}`);
    // It is looked at before it is kept, as one that came by a link.
    if (read.ok) await this.router.navigate(['/perform/shared'], { fragment: await packText(read.text) });
  });

  protected readonly duplicate = once('duplicate a set', async ({ set }: SetRow) => {
    await this.router.navigate(['/perform', this.store.add({ ...set, name: `${set.name} copy` })]);
  });

  protected readonly remove = once('remove a set', async (row: SetRow) => {
    await this.store.remove(row);
    await this.notices.offerUndo(`${row.set.name} is removed.`, () => this.undoing.undo('table'));
  });

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway(SAMPLE_KINDS));
}
