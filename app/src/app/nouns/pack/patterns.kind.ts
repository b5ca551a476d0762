import { Values } from '@enumeron/core/form';
import { single } from '../../storage/kind';

/** What was told to each pattern of Reckon, by its address and the field's name. */
export interface PatternsRow {
  readonly id: 'patterns';
  readonly values: Readonly<Partial<Record<string, Values>>>;
}

/** The longest address of a pattern, and name of a field; the most numbers in one. */
const [LONGEST, MOST_NUMBERS] = [40, 200] as const;

export const PATTERNS_TOLD = single<PatternsRow>({
  name: 'patterns',
  standIn: { id: 'patterns', values: {} },
  words: ['list of patterns’ fields', 'lists of patterns’ fields'],
  line: 'table',
  told: true,
  inBackup: true,
  schema: (joi) => {
    const whole = joi.number().integer();
    const value = joi.alternatives(whole, joi.boolean(), joi.array().items(whole).max(MOST_NUMBERS));
    const fields = joi.object().pattern(joi.string().max(LONGEST), value).max(100);
    return joi.object({
      id: joi.valid('patterns').required(),
      values: joi.object().pattern(joi.string().max(LONGEST), fields).max(100).required(),
    });
  },
});
