import { computed, effect, inject, Injectable, signal } from '@angular/core';
import type { SumKind } from '@enumeron/core/file/learn/sums/sum';
import type { sentAs, SentAs } from '@enumeron/core/file/rehearse/sent';
import { Committed, Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { ByRecord } from './by-record';
import { PROCEDURES } from './procedures.kind';
import { SENT, SentRow } from './sent.kind';
import { liveRows } from '../../storage/live-rows';
import { newId } from '../../platform/new-id';
import { Rows } from '../../storage/rows';
import { Clock } from '../../platform/clock';
import { Scripts } from '../../platform/scripts';

/** A procedure among Reckon's patterns. */
export interface Sent {
  readonly row: SentRow;
  /** The address of its pattern below Reckon. */
  readonly path: string;
  readonly name: string;
  /** Undefined until what reads it has been loaded. */
  readonly as: SentAs | undefined;
}

/** Where the address of a pattern that was sent begins: no other pattern's does. */
const BEGINS = 'sent-';
export const isSentPath = (path: string): boolean => path.startsWith(BEGINS);

/** One that cannot be read takes down no other. */
const readSent = (read: typeof sentAs, ...asked: Parameters<typeof sentAs>): SentAs => {
  try {
    return read(...asked);
  } catch (error) {
    console.warn(error);
    const problem = { what: 'This procedure cannot be read.', remedy: 'Open it in Rehearse and mend it.' };
    return { problem, findings: [] };
  }
};

/** The procedures that were sent to Reckon, live, as patterns and as kinds of sums. */
@Injectable({ providedIn: 'root' })
export class SentStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly clock = inject(Clock);
  private readonly stored = liveRows(SENT);
  private readonly byRecord = inject(ByRecord);
  private readonly read = signal<typeof sentAs | undefined>(undefined);

  /** The procedures that are there, oldest first; undefined until storage has been read. */
  private readonly present = computed(() =>
    this.stored()
      ?.map((row) => {
        const procedure = this.rows.at(placeOf(PROCEDURES, row.procedure))()?.procedure;
        return { row, procedure: procedure && this.byRecord.weighed(row.procedure, procedure) };
      })
      .filter(({ procedure }) => procedure !== undefined)
      .sort((a, b) => a.row.at - b.row.at)
      // Two tabs may have sent it at once.
      .filter(
        ({ row }, index, all) => all.findIndex((each) => each.row.procedure === row.procedure) === index,
      ),
  );
  readonly all = computed<readonly Sent[] | undefined>(() => {
    const [present, read] = [this.present(), this.read()];
    return present?.map(({ row, procedure }) => {
      const path = BEGINS + row.id;
      return {
        row,
        path,
        name: procedure?.name ?? '',
        as: read && readSent(read, procedure, path, row.answer),
      };
    });
  });
  /** What can be practised of them. */
  readonly sums = computed<readonly SumKind[]>(() => {
    const sums = this.all()?.flatMap(({ as }) => (as?.sum ? [as.sum] : [])) ?? [];
    // Answers are kept by the name of their kind: two procedures that are called alike must differ in it.
    return sums.map((sum, index) => {
      const before = sums.slice(0, index).filter(({ name }) => name === sum.name).length;
      return before === 0 ? sum : { ...sum, name: `${sum.name} ${(before + 1).toString()}` };
    });
  });
  /** Whether all that was sent is known by now. */
  readonly isReady = computed(() => {
    const stored = this.stored();
    if (!stored) return false;
    const asked = stored.every(({ procedure }) => this.rows.isRead(placeOf(PROCEDURES, procedure)));
    return asked && (this.present()?.length === 0 || this.read() !== undefined);
  });

  constructor() {
    const scripts = inject(Scripts);
    let begun = false;
    effect(() => {
      if (begun || (this.present()?.length ?? 0) === 0) return;
      begun = true;
      scripts
        .load(() => import('@enumeron/core/file/rehearse/sent'))
        .then((module) => {
          this.read.set(module.sentAs);
        })
        .catch(() => {
          begun = false;
        });
    });
  }

  /** What was sent of a procedure, by its id. */
  of(procedure: string): Sent | undefined {
    return this.all()?.find(({ row }) => row.procedure === procedure);
  }

  at(path: string): Sent | undefined {
    return this.all()?.find((sent) => sent.path === path);
  }

  /** Puts a procedure among the patterns. */
  send(procedure: string, name: string): void {
    if (this.of(procedure)) return;
    const row: SentRow = { id: newId(), procedure, at: this.clock.now() };
    void this.journal.commit(`send ${name} to Reckon`, [placeOf(SENT, row.id)], () => [row]);
  }

  /** Takes something else that it finds for its answer. */
  ask({ row, name }: Sent, answer: string): Promise<Committed> {
    return this.journal.commit(`ask ${name} for another answer`, [placeOf(SENT, row.id)], ([now]) => [
      now && { ...now, answer },
    ]);
  }

  /** Takes it out of the patterns; the procedure stays. */
  takeBack({ row, name }: Sent): Promise<Committed> {
    const rows = this.stored()?.filter(({ procedure }) => procedure === row.procedure) ?? [row];
    const places = rows.map(({ id }) => placeOf(SENT, id));
    return this.journal.commit(`remove ${name} from Reckon`, places, () => places.map(() => undefined));
  }
}
