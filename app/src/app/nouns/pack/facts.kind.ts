import { cardList, Card, listOf } from '@enumeron/core/deck';
import { FACT, Fact } from '@enumeron/core/file/reckon/facts/fact';
import { inFile } from '../../storage/in-file';
import { single } from '../../storage/kind';

/** The most facts that are told of one pack. */
export const MOST_FACTS = 12;

/** What happened to the pack and was seen of it, and the pack that it was told of: another one makes it void. */
export interface FactsRow {
  readonly id: 'facts';
  readonly pack: readonly Card[];
  readonly facts: readonly Fact[];
}

const ALL = listOf(FACT, 0, MOST_FACTS);

export const FACTS = single<FactsRow>({
  name: 'facts',
  standIn: { id: 'facts', pack: [], facts: [] },
  words: ['list of what was told', 'lists of what was told'],
  line: 'table',
  inBackup: true,
  schema: (joi, { cards, craft }) =>
    joi.object({
      id: joi.valid('facts').required(),
      pack: joi.alternatives(joi.array().length(0), cards).required(),
      facts: craft(ALL).required(),
    }),
  glance: (row) => {
    const { pack, facts } = (row ?? {}) as FactsRow;
    return cardList(0)(pack, {}) === undefined && ALL(facts, {}) === undefined;
  },
  toFile: (row) => ({ ...row, pack: row.pack.length > 0 ? inFile.formatOrder(row.pack) : [] }),
});
