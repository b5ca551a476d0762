import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import {
  LONGEST_NIGHTS_FILE,
  makeNightsFile,
  readNightsFile,
} from '@enumeron/core/file/record/files/nightsFile';
import { nightCells, TABLE_FIELDS } from '@enumeron/core/file/record/files/nightTable';
import { guessMapping, type Mapping, readNightTable } from '@enumeron/core/file/record/files/readNightTable';
import { tableNews } from '@enumeron/core/file/record/files/tableNews';
import { type Merged, mergeNights } from '@enumeron/core/file/record/merge';
import type { Night } from '@enumeron/core/file/record/night';
import { NightsStore } from '../../nouns/performances/nights.store';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { Clock } from '../../platform/clock';
import { download } from '../../platform/download';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { readTextFile } from '../../platform/read-file';
import { readJson } from '../../platform/read-json';
import { Scripts } from '../../platform/scripts';
import { Undoing } from '../../storage/undoing';
import { sayDate } from '../say-day';
import { WALL_CLOCK } from './wall-clock';

/** So many changes are shown before they are made. */
const SHOWN = 12;

/** A table that was chosen, with what its columns stand for. */
interface Table {
  readonly cells: readonly (readonly string[])[];
  readonly mapping: Mapping;
}

/** Nights out to files and in from them: merged, so that nothing is lost and nothing doubles. */
@Component({
  selector: 'en-files-page',
  imports: [MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './files-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', '../../ui/lists.scss', './files-page.scss'],
})
export class FilesPage {
  private readonly store = inject(NightsStore);
  private readonly routines = inject(RoutinesStore);
  private readonly clock = inject(Clock);
  private readonly scripts = inject(Scripts);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);

  protected readonly count = computed(() => this.store.all()?.filter(({ sample }) => !sample).length ?? 0);
  protected readonly problems = signal<readonly string[]>([]);
  protected readonly name = signal('');
  protected readonly table = signal<Table | undefined>(undefined);
  private readonly opened = signal<readonly Night[] | undefined>(undefined);
  protected readonly fields = TABLE_FIELDS;
  private readonly byName = computed(
    () => new Map(this.routines.all()?.map(({ id, routine }) => [routine.name.toLowerCase(), id])),
  );

  private readonly read = computed(() => {
    const table = this.table();
    return table && readNightTable(table.cells, table.mapping, this.byName(), this.clock.now(), WALL_CLOCK);
  });
  protected readonly columns = computed(() => {
    const table = this.table();
    return (table?.cells.at(0) ?? []).map((head, index) => ({
      head: head || `Column ${(index + 1).toString()}`,
      first: (table?.cells.at(1)?.at(index) ?? '').slice(0, 40),
      is: table?.mapping.at(index),
    }));
  });
  protected readonly tableProblems = computed(() => this.read()?.problems.map(sayProblem) ?? []);
  private readonly here = computed(() => new Map(this.store.every()?.map((night) => [night.id, night])));
  /** What comes in: nights of a file, or of a table as its columns are read. */
  private readonly coming = computed(() => {
    const read = this.read();
    if (!read) return this.opened();
    return tableNews(read.nights, this.here(), this.clock.now(), WALL_CLOCK);
  });
  protected readonly merged = computed((): Merged | undefined => {
    const [every, coming] = [this.store.every(), this.coming()];
    return every && coming && mergeNights(every, coming);
  });
  protected readonly says = computed(() => {
    const merged = this.merged();
    if (!merged) return '';
    const { added, changed, removed } = merged;
    const parts = [
      ...(added.length > 0 ? [`${countOf(added.length, 'night')} new`] : []),
      ...(changed.length > 0 ? [`${countOf(changed.length, 'night')} changed`] : []),
      ...(removed.length > 0 ? [`${countOf(removed.length, 'night')} removed`] : []),
    ];
    return parts.length === 0 ? 'Nothing in it is new here' : parts.join(', ');
  });
  protected readonly isAny = computed(() => {
    const merged = this.merged();
    return merged !== undefined && merged.added.length + merged.changed.length + merged.removed.length > 0;
  });
  protected readonly lines = computed(() => {
    const { added = [], changed = [], removed = [] } = this.merged() ?? {};
    const here = this.here();
    const line = (what: string) => (night: Night) => {
      const { name, at, place = '' } = night.removed ? (here.get(night.id) ?? night) : night;
      return {
        id: night.id,
        what,
        says: [sayDate(at), name || 'a night', place].filter(Boolean).join(' · '),
      };
    };
    return [...added.map(line('new')), ...changed.map(line('changed')), ...removed.map(line('removed'))];
  });
  protected readonly shown = computed(() => this.lines().slice(0, SHOWN));

  protected save(kind: 'json' | 'csv' | 'ics'): void {
    const every = (this.store.every() ?? []).filter(({ sample }) => !sample);
    const nights = (this.store.all() ?? []).filter(({ sample }) => !sample);
    if (kind === 'json') {
      download(makeNightsFile(every), 'record.enumeron.json', 'application/json');
      return;
    }
    const [csv, calendar] = [() => import('../../platform/csv'), () => import('./dates-calendar')] as const;
    if (kind === 'csv')
      void this.scripts
        .load(csv)
        .then(({ makeCells }) =>
          download(makeCells(nightCells(nights, WALL_CLOCK), 'csv'), 'nights.csv', 'text/csv'),
        );
    else
      void this.scripts
        .load(calendar)
        .then(({ datesCalendar }) =>
          download(datesCalendar(nights, this.clock.now()), 'nights.ics', 'text/calendar'),
        );
  }

  protected readonly open = once('open nights', async (file: File | undefined) => {
    if (!file) return;
    this.leave();
    const read = await readTextFile(file, LONGEST_NIGHTS_FILE, 'nights');
    if (!read.ok) {
      this.refuse(read.problems.map(sayProblem));
      return;
    }
    this.name.set(file.name);
    if (/^\s*BEGIN:VCALENDAR/i.test(read.text)) return this.openCalendar(read.text);
    if (/^\s*[{[]/.test(read.text)) return this.openJson(read.text);
    const { parseCells } = await this.scripts.load(() => import('../../platform/csv'));
    const cells = parseCells(read.text);
    if (cells.length < 2) this.refuse(['It has no rows below the names of its columns.']);
    else this.table.set({ cells, mapping: guessMapping(cells[0]) });
  });

  private async openJson(text: string): Promise<void> {
    const json = await readJson(text, 'Choose a file that was saved here.');
    const read = json.ok ? readNightsFile(json.value) : json;
    if (read.ok) this.opened.set(read.nights);
    else this.refuse(read.problems.map(sayProblem));
  }

  private async openCalendar(text: string): Promise<void> {
    const { readDates } = await this.scripts.load(() => import('./dates-calendar'));
    const read = readDates(text, this.here(), this.clock.now());
    if (read.ok) this.opened.set(read.nights);
    else this.refuse(read.problems.map(sayProblem));
  }

  private refuse(problems: readonly string[]): void {
    this.problems.set(problems);
  }

  /** Says what a column of the table stands for. */
  protected map(index: number, is: Mapping[number]): void {
    this.table.update(
      (table) =>
        table && {
          ...table,
          mapping: table.mapping.map((each, at) =>
            at === index ? is : each === is && is !== 'choice' ? undefined : each,
          ),
        },
    );
  }

  protected sayField(is: Mapping[number]): string {
    return is === undefined ? 'left out' : is === 'choice' ? 'a choice, called so' : is;
  }

  protected leave(): void {
    this.table.set(undefined);
    this.opened.set(undefined);
    this.problems.set([]);
    this.name.set('');
  }

  protected readonly merge = once('merge nights', async () => {
    const coming = this.coming();
    if (!coming) return;
    const says = this.says();
    try {
      await this.store.merge(coming);
      this.leave();
      await this.notices.offerUndo(`${says}.`, () => this.undoing.undo('record'));
    } catch (error) {
      console.warn(error);
      this.refuse(['It could not be stored. Nothing has changed; try again.']);
    }
  });
}
