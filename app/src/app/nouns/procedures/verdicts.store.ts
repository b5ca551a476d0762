import { computed, inject, Injectable } from '@angular/core';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { Order } from '@enumeron/core/deck';
import type { Found, Verdict } from '@enumeron/core/file/rehearse/verdict';
import { chanceOf } from '@enumeron/core/file/rehearse/chanceOf';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { Rows } from '../../storage/rows';
import { ProcedureRow } from './procedures.kind';
import { KeptVerdict, MOST_VERDICTS, VERDICTS } from './verdicts.kind';

const PLACE = onlyPlace(VERDICTS);

/** What is said of procedures, and how they are run, as it is now: with another number all is found anew. */
const EDITION = 2;

/** The offset and the prime of the FNV-1a hash, for 32 bits. */
const [OFFSET, PRIME] = [0x811c9dc5, 0x01000193];

const hashOf = (text: string, begin: number): number => {
  let hash = begin;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), PRIME);
  return hash >>> 0;
};

/** A short text that tells another from every other: as a key, or as a part of a stamp. */
export const hashText = (text: string): string =>
  `${hashOf(text, OFFSET).toString(36)}-${hashOf(text, PRIME).toString(36)}`;

const STAMPS = new WeakMap<Procedure, string>();

/** Tells a procedure from what it was before, and from every other. */
export const stampOf = (procedure: Procedure): string => {
  const before = STAMPS.get(procedure);
  if (before !== undefined) return before;
  const text = JSON.stringify(procedure);
  const parts = [EDITION, text.length, hashOf(text, OFFSET), hashOf(text, PRIME)];
  const stamp = parts.map((part) => part.toString(36)).join('-');
  STAMPS.set(procedure, stamp);
  return stamp;
};

/** The key and the stamp of a procedure that is done with an order: the stamp is another when either changes. */
export const keyWith = (
  { id, procedure }: ProcedureRow,
  order: { readonly id: string; readonly cards: Order },
): { readonly key: string; readonly stamp: string } => {
  const cards = hashOf(order.cards.join(), OFFSET);
  return {
    key: `with-${hashText(`${id} ${order.id}`)}`,
    stamp: `${stampOf(procedure)}-${cards.toString(36)}`,
  };
};

/** What is kept of what was found. */
export const keptOf = ({ verdict, says, share }: Found, stamp: string): KeptVerdict => ({
  ...{ stamp, says, group: groupOf(verdict) },
  picture: verdict.kind === 'proved' ? verdict.picture : '',
  ...(share !== undefined && { share }),
  ...chanceKept(verdict),
});

const chanceKept = (verdict: Verdict): { readonly chance?: number } => {
  const chance = chanceOf(verdict);
  return chance === undefined ? {} : { chance };
};

/** In which group of a list a procedure stands. */
export const groupOf = (verdict: Verdict): KeptVerdict['group'] => {
  if (verdict.kind === 'tried') return 'chance';
  if (verdict.kind !== 'proved' || !verdict.complete) return 'unfinished';
  const { held, outs, failed } = verdict.counts;
  if (failed > 0) return 'fails';
  return outs > 0 ? 'outs' : held > 0 ? 'always' : 'unfinished';
};

/** What was found of procedures: kept until they change. None of it is undone, and none of it is in a backup. */
@Injectable({ providedIn: 'root' })
export class VerdictsStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly row = this.rows.only(PLACE);

  readonly isRead = computed(() => this.rows.isRead(PLACE));

  /** What was found under a key, if that was of what has this stamp. */
  of(key: string, stamp: string): KeptVerdict | undefined {
    const { found } = this.row();
    return Object.hasOwn(found, key) && found[key].stamp === stamp ? found[key] : undefined;
  }

  keep(key: string, verdict: KeptVerdict): void {
    void this.journal.commit('note what was found', [PLACE], ([row]) => {
      const others = Object.entries(row.found).filter(([each]) => each !== key);
      return [{ ...row, found: Object.fromEntries([...others.slice(1 - MOST_VERDICTS), [key, verdict]]) }];
    });
  }
}
