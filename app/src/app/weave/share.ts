import { Injector } from '@angular/core';
import { parseMovesText } from '@enumeron/core/file/moves/moveText';
import { applyMove, Move } from '@enumeron/core/file/moves/move';
import { moveName } from '@enumeron/core/file/weave/moveName';
import { Order } from '@enumeron/core/deck';
import { dequal } from 'dequal/lite';
import { PACK } from '../nouns/pack/pack.kind';
import { PackStore } from '../nouns/pack/pack.store';
import { packOf, packShared } from '../nouns/pack/shared-pack';
import { ROW, LONGEST_ROW, WEAVING } from '../nouns/weaves/weaving.kind';
import { Sharing } from '../platform/sharing';
import { Journal } from '../storage/journal';
import { onlyPlace } from '../storage/kind';
import { Rows } from '../storage/rows';

/** A row of weaves as it is shared: its moves as one writes them, or as they are stored where one is not written so. */

const [PLACE, PACK_PLACE] = [onlyPlace(WEAVING), onlyPlace(PACK)];

const written = (row: readonly Move[], now: Order): string | undefined => {
  const text = row.map(moveName).join(',');
  const read = parseMovesText(text, now);
  return read.problem === undefined && dequal(read.moves, row) ? text : undefined;
};

const storedRow = (text: string): readonly Move[] | undefined => {
  try {
    const value: unknown = JSON.parse(text);
    return ROW(value, {}) === undefined ? (value as readonly Move[]) : undefined;
  } catch {
    return undefined;
  }
};

const readRow = (text: string, now: Order): readonly Move[] | undefined => {
  if (text.startsWith('[')) return storedRow(text);
  const { moves, problem } = parseMovesText(text, now);
  const keepsAll = moves.reduce(applyMove, now).length === now.length;
  return problem === undefined && keepsAll && moves.length <= LONGEST_ROW ? moves : undefined;
};

export const WEAVE_SHARING: Sharing = {
  of: (injector: Injector) => {
    const { row } = injector.get(Rows).only(PLACE)();
    const pack = packShared(injector);
    const now = injector.get(PackStore).now();
    return {
      what: row.length === 0 ? 'a row of weaves' : row.map(moveName).join(' '),
      path: '/weave',
      query: [...pack.query, ['row', written(row, now) ?? JSON.stringify(row)]],
      packed: pack.packed,
      text: row.map(moveName).join(', ') || undefined,
    };
  },
  take: (injector, { searchParams: query }, packed) => {
    const text = query.get('row');
    const pack = text === null ? undefined : packOf(query, packed);
    const row = pack && readRow(text ?? '', pack.now);
    if (!row) return false;
    // It shows at once; the address does not wait until it is stored.
    void injector
      .get(Journal)
      .commit('open what was shared', [PLACE, PACK_PLACE], ([weaving]) => [{ ...weaving, row }, pack]);
    return true;
  },
};
