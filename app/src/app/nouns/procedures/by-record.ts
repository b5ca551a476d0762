import { computed, inject, Injectable } from '@angular/core';
import type { Likely, Procedure } from '@enumeron/core/file/procedure/procedure';
import { MEND_COSTS, type MendCosts } from '@enumeron/core/file/perform/costs';
import { costsBy } from '@enumeron/core/file/record/actSeconds';
import { tableOf, weighed } from '@enumeron/core/file/record/weigh';
import { without } from '../../platform/without';
import { Committed, Journal } from '../../storage/journal';
import { onlyPlace, placeOf } from '../../storage/kind';
import { liveRows } from '../../storage/live-rows';
import { Rows } from '../../storage/rows';
import { BY_RECORD, FITTED, FittedChoice, FittedRow, WeighedBy } from './by-record.kind';

const FITTED_PLACE = onlyPlace(FITTED);

/** How choices are weighed where they are weighed by the record; and how long acts take by it. */
@Injectable({ providedIn: 'root' })
export class ByRecord {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly stored = liveRows(BY_RECORD);
  readonly fitted = this.rows.only(FITTED_PLACE);

  /** Every procedure that has a choice weighed so; undefined until storage has been read. */
  readonly all = computed(() => this.stored());
  private readonly byId = computed(() => new Map(this.stored()?.map((row) => [row.id, row.choices])));
  /** By procedure: the likelihoods in the place of the stated ones. */
  private readonly tables = computed(() => {
    const tables = new Map<string, Map<string, Likely>>();
    for (const { procedure, name, from, chances, n } of this.fitted().choices) {
      if (n === 0 || !Object.hasOwn(this.byId().get(procedure) ?? {}, name)) continue;
      const own = tables.get(procedure) ?? new Map<string, Likely>();
      own.set(name, tableOf({ from, chances }));
      tables.set(procedure, own);
    }
    return tables;
  });
  private readonly made = computed(() => ({ of: this.tables(), known: new WeakMap<Procedure, Procedure>() }));

  /** A procedure as it is weighed: the same where none of its choices is weighed by the record. */
  weighed(id: string, procedure: Procedure): Procedure {
    const { of, known } = this.made();
    const tables = of.get(id);
    if (!tables) return procedure;
    const made = known.get(procedure) ?? weighed(procedure, tables);
    known.set(procedure, made);
    return made;
  }

  /** How likely a choice is by the record; undefined where it is not weighed so, or nothing is known. */
  likelyOf(id: string, name: string): Likely | undefined {
    return this.tables().get(id)?.get(name);
  }

  /** By what a choice of a procedure is weighed; undefined where by what it states. */
  of(id: string, name: string): WeighedBy | undefined {
    const choices = this.byId().get(id) ?? {};
    return Object.hasOwn(choices, name) ? choices[name] : undefined;
  }

  /** What was worked out for a choice. */
  fitOf(id: string, name: string): FittedChoice | undefined {
    return this.fitted().choices.find((each) => each.procedure === id && each.name === name);
  }

  /** The choices of a procedure that are weighed so, with what was worked out. */
  choicesOf(id: string): readonly { name: string; by: WeighedBy; fit: FittedChoice | undefined }[] {
    return Object.entries(this.byId().get(id) ?? {}).map(([name, by]) => ({
      ...{ name, by, fit: this.fitOf(id, name) },
    }));
  }

  /** Weighs a choice of a procedure by the record, or by what it states again. */
  weigh(id: string, name: string, by: WeighedBy | undefined): Promise<Committed> {
    const label = by ? `weigh ${name} by my record` : `weigh ${name} as it is stated`;
    return this.journal.commit(label, [placeOf(BY_RECORD, id)], ([row]) => {
      const others = Object.entries(row?.choices ?? {}).filter(([each]) => each !== name);
      const choices = Object.fromEntries(by ? [...others, [name, by]] : others);
      return [Object.keys(choices).length === 0 ? undefined : { id, choices }];
    });
  }

  /** What is chosen is called otherwise now: it is weighed as before. */
  async rename(id: string, name: string, to: string): Promise<void> {
    const by = this.of(id, name);
    if (!by || name === to || to === '') return;
    await this.weigh(id, name, undefined);
    await this.weigh(id, to, by);
  }

  /** Notes what was worked out of the nights. */
  keep(fitted: FittedRow): Promise<Committed> {
    return this.journal.commit('note what the record says', [FITTED_PLACE], () => [fitted]);
  }

  /** That a record grew was told: it is told once. */
  told(id: string): void {
    void this.journal.commit('note what was told', [FITTED_PLACE], ([row]) => [
      {
        ...row,
        choices: row.choices.map((each) => {
          return each.procedure === id ? without(each, 'before') : each;
        }),
      },
    ]);
  }

  /** How long acts take: the table, moved by what was timed. */
  readonly costs = computed((): MendCosts => {
    const { seconds } = this.fitted();
    return seconds.length === 0 ? MEND_COSTS : costsBy(seconds);
  });
  /** How many times an act was timed. */
  timed(act: string): number {
    return this.fitted().seconds.find((each) => each.act === act)?.n ?? 0;
  }
}
