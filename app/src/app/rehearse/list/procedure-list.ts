import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { Problem } from '@enumeron/core/deck';
import { newProcedure } from '@enumeron/core/file/rehearse/newProcedure';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { ByRecord } from '../../nouns/procedures/by-record';
import { ProcedureRow } from '../../nouns/procedures/procedures.kind';
import { SampleRoom } from '../../storage/sample-room';
import { readJson } from '../../platform/read-json';
import { sayUsedIn } from '../../nouns/sets/used-in';
import { PackStore } from '../../nouns/pack/pack.store';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { download } from '../../platform/download';
import { readTextFile } from '../../platform/read-file';
import { Scripts } from '../../platform/scripts';
import { Undoing } from '../../storage/undoing';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { VERDICT_GROUPS } from '../../nouns/procedures/verdicts.kind';
import { keptOf, stampOf, VerdictsStore } from '../../nouns/procedures/verdicts.store';
import { jobView } from '../../platform/workers/job-view';
import { Choice } from '../../ui/choice';
import { CasePicture } from './case-picture';
import { SAMPLE_KINDS } from '../../nouns/procedures/sample';

const GROUPS = ['all', ...VERDICT_GROUPS] as const;
type Group = (typeof GROUPS)[number];
const GROUP_WORDS: Readonly<Record<Group, string>> = {
  ...{ all: 'all', always: 'always work', outs: 'have outs', fails: 'fail' },
  ...{ chance: 'by chance', unfinished: 'unfinished' },
};

/** The longest file of procedures that is read, in characters. */
const LONGEST_FILE = 8_000_000;

/** The procedures that the user has, with what is known of each: written anew, opened from a file, removed. */
@Component({
  selector: 'en-procedure-list',
  imports: [CasePicture, Choice, MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './procedure-list.html',
  styleUrls: [
    '../../ui/page.scss',
    '../../ui/sample-line.scss',
    '../../ui/lists.scss',
    './procedure-list.scss',
  ],
})
export class ProcedureList {
  protected readonly store = inject(ProceduresStore);
  private readonly verdicts = inject(VerdictsStore);
  private readonly pack = inject(PackStore);
  private readonly router = inject(Router);
  private readonly sample = inject(SampleRoom);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);
  private readonly scripts = inject(Scripts);
  private readonly byRecord = inject(ByRecord);
  private readonly injector = inject(Injector);

  /** What is wrong with a file that was opened. */
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly file = signal('');
  protected readonly search = signal('');
  protected readonly group = signal<Group>('all');
  protected readonly groups = GROUPS;
  protected readonly sayGroup = (group: Group): string => GROUP_WORDS[group];

  private readonly all = computed(() =>
    this.store.all()?.map((row) => {
      const { name, needs = '', note = '' } = row.procedure;
      return {
        ...{ row, id: row.id, name: name || 'Without a name', needs, note },
        verdict: this.verdicts.of(row.id, stampOf(this.weighed(row))),
        found: `${name} ${needs} ${note}`.toLowerCase(),
      };
    }),
  );
  protected readonly count = computed(() => this.all()?.length);
  protected readonly rows = computed(() => {
    const words = this.search().toLowerCase().split(/\s+/);
    return this.all()?.filter(
      ({ found, verdict }) =>
        words.every((word) => found.includes(word)) &&
        (this.group() === 'all' || verdict?.group === this.group()),
    );
  });

  /** The next of which nothing is known: they are found one after the other. */
  private readonly next = computed(() =>
    this.verdicts.isRead() ? this.all()?.find(({ verdict }) => !verdict)?.row : undefined,
  );
  private readonly finding = jobView('verdict', () => {
    const row = this.next();
    return row && { procedure: this.weighed(row) };
  });

  /** Where no script came, or nothing is heard, none of them is proved: a notice says so, and how it goes on. */
  protected readonly unknown = computed(() =>
    this.finding()?.kind === 'failed' ? 'Not proved yet' : 'Being proved …',
  );

  constructor() {
    effect(() => {
      // Of two procedures alike the second asks nothing new: what was found for the first is its answer, too.
      const [view, row] = [this.finding(), this.next()];
      if (!view || !row) return;
      if (view.kind !== 'ended') return;
      this.verdicts.keep(row.id, keptOf(view.result, stampOf(this.weighed(row))));
    });
  }

  /** A procedure as its choices are weighed. */
  private weighed({ id, procedure }: ProcedureRow): Procedure {
    return this.byRecord.weighed(id, procedure);
  }

  protected readonly begin = once('begin a procedure', async () => {
    await this.router.navigate(['/rehearse', this.store.begin(newProcedure('', this.pack.home()))]);
  });

  protected readonly duplicate = once('duplicate a procedure', async ({ procedure }: ProcedureRow) => {
    const name = `${procedure.name} copy`.trim();
    const id = this.store.add({ ...procedure, name }, `duplicate ${procedure.name}`);
    await this.router.navigate(['/rehearse', id]);
  });

  protected readonly open = once('open a procedure', async (file: File | undefined) => {
    if (!file) return;
    this.file.set(file.name);
    const read = await readTextFile(file, LONGEST_FILE, 'procedures');
    const json = read.ok ? await readJson(read.text, 'Mend it there, or save it again.') : read;
    if (!json.ok) {
      this.problems.set(json.problems);
      return;
    }
    const { readProcedures } = await this.scripts.load(() => import('@enumeron/core/file/rehearse/bundle'));
    const outcome = readProcedures(json.value);
    this.problems.set(outcome.ok ? [] : outcome.problems);
    if (!outcome.ok) return;
    const [procedure, ...others] = outcome.procedures;
    if (others.length === 0) {
      const id = this.store.add(procedure, `open the procedure ${procedure.name}`);
      await this.router.navigate(['/rehearse', id]);
      return;
    }
    const count = outcome.procedures.length.toString();
    this.store.addAll(outcome.procedures, `open ${count} procedures`);
    await this.notices.offerUndo(`${count} procedures are added.`, () => this.undoing.undo('table'));
  });

  /** All that the list shows, in one file. */
  protected readonly save = once('save procedures', async () => {
    const { makeBundle } = await this.scripts.load(() => import('@enumeron/core/file/rehearse/bundle'));
    const procedures = (this.rows() ?? []).map(({ row }) => row.procedure);
    download(makeBundle(procedures), 'procedures.enumeron.json', 'application/json');
  });

  protected readonly remove = once('remove a procedure', async (row: ProcedureRow) => {
    await this.store.remove(row);
    const used = await sayUsedIn(this.injector, ({ procedure }) => procedure === row.id);
    await this.notices.offerUndo(`${row.procedure.name} is removed.${used}`, () =>
      this.undoing.undo('table'),
    );
  });

  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway(SAMPLE_KINDS));
}
