import { readValues, writeValues } from '@enumeron/core/form';
import { QUESTIONS } from '@enumeron/core/odds';
import { fileName } from '@enumeron/core/file/formats/name';
import { FORMAT } from '@enumeron/core/file/rehearse/readProcedure';
import { versionNeeded } from '@enumeron/core/file/procedure/version';
import { PatternsStore } from '../nouns/pack/patterns.store';
import { PROCEDURES } from '../nouns/procedures/procedures.kind';
import { pathIn, Shared, Sharing } from '../platform/sharing';
import { placeOf } from '../storage/kind';
import { Rows } from '../storage/rows';

/** Where a procedure that was shared is looked at before it is kept. */
export const SHARED = 'shared';

const questionAt = (url: string) =>
  pathIn(url, 1) === 'odds'
    ? (QUESTIONS.find(({ path }) => path === pathIn(url, 2)) ?? QUESTIONS[0])
    : undefined;

/** A procedure as it is shared, as in a file; a question of chance with its numbers. */
export const REHEARSE_SHARING: Sharing = {
  of: (injector, url): Shared | undefined => {
    const question = questionAt(url);
    if (question) {
      const told = injector.get(PatternsStore).told(`odds ${question.path}`);
      const query = Object.entries(writeValues(question, told));
      return { what: question.name, path: `/rehearse/odds/${question.path}`, query };
    }
    const id = pathIn(url, 1);
    const row = id === '' ? undefined : injector.get(Rows).at(placeOf(PROCEDURES, id))();
    if (!row) return undefined;
    const { procedure } = row;
    return {
      what: procedure.name || 'a procedure',
      path: `/rehearse/${SHARED}`,
      fileName: fileName(procedure.name || 'procedure', 'enumeron.json'),
      packed: JSON.stringify({ format: FORMAT, ...procedure, version: versionNeeded(procedure) }),
    };
  },
  take: (injector, { pathname, searchParams: query }) => {
    const question = questionAt(pathname);
    if (!question || [...query.keys()].length === 0) return false;
    const values = readValues(question, Object.fromEntries(query));
    // It shows at once; the address does not wait until it is stored.
    void injector.get(PatternsStore).replace(`odds ${question.path}`, values);
    return true;
  },
};
