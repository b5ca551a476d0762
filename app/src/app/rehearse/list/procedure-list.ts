import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { Problem } from '@enumeron/core/deck';
import { newProcedure } from '@enumeron/core/file/rehearse/newProcedure';
import { LONGEST_PROCEDURE, ProcedureRow } from '../../nouns/procedures/procedures.kind';
import { SampleRoom } from '../../storage/sample-room';
import { readJson } from '../../platform/read-json';
import { PackStore } from '../../nouns/pack/pack.store';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { readTextFile } from '../../platform/read-file';
import { Scripts } from '../../platform/scripts';
import { Undoing } from '../../storage/undoing';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { SAMPLE_KINDS } from '../../nouns/procedures/sample';

/** The procedures that the user has: written anew, opened from a file, removed. */
@Component({
  selector: 'en-procedure-list',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './procedure-list.html',
  styleUrls: ['../../ui/page.scss', '../../ui/sample-line.scss', './procedure-list.scss'],
})
export class ProcedureList {
  protected readonly store = inject(ProceduresStore);
  private readonly pack = inject(PackStore);
  private readonly router = inject(Router);
  private readonly sample = inject(SampleRoom);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);
  private readonly scripts = inject(Scripts);

  /** What is wrong with a file that was opened. */
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly file = signal('');
  protected readonly rows = computed(() =>
    this.store.all()?.map((row) => ({
      ...{ row, id: row.id, name: row.procedure.name || 'Without a name', sample: row.sample === true },
      ...{ note: row.procedure.note ?? '', steps: row.procedure.steps.length },
    })),
  );

  protected readonly begin = once('begin a procedure', async () => {
    const procedure = newProcedure('', this.pack.home());
    await this.router.navigate(['/rehearse', this.store.add(procedure, 'begin a procedure')]);
  });

  protected readonly open = once('open a procedure', async (file: File | undefined) => {
    if (!file) return;
    this.file.set(file.name);
    const read = await readTextFile(file, LONGEST_PROCEDURE, 'a procedure');
    const json = read.ok ? await readJson(read.text, 'Mend it there, or save it anew.') : read;
    if (!json.ok) {
      this.problems.set(json.problems);
      return;
    }
    const { readProcedure } = await this.scripts.load(
      () => import('@enumeron/core/file/rehearse/readProcedure'),
    );
    const outcome = readProcedure(json.value);
    this.problems.set(outcome.ok ? [] : outcome.problems);
    if (!outcome.ok) return;
    const { procedure } = outcome;
    await this.router.navigate([
      '/rehearse',
      this.store.add(procedure, `open the procedure ${procedure.name}`),
    ]);
  });

  protected readonly remove = once('remove a procedure', async (row: ProcedureRow) => {
    await this.store.remove(row);
    await this.notices.offerUndo(`${row.procedure.name} is removed.`, () => this.undoing.undo('table'));
  });

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway(SAMPLE_KINDS));
}
