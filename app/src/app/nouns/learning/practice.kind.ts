import { single } from '../../storage/kind';

/** The practice that is on, or the last one: it goes on where it was when its tab is opened again. */
export interface PracticeRow {
  readonly id: 'practice';
  /** The order's id; empty before the first practice. */
  readonly order: string;
  /** What is practised; items where it is left out. */
  readonly what?: string;
  readonly began: number;
  /** How long it is to be, and how long was spent on answers, in milliseconds. */
  readonly length: number;
  readonly spent: number;
  readonly asked: number;
  readonly right: number;
  readonly ended: boolean;
}

export const PRACTICE = single<PracticeRow>({
  name: 'practice',
  standIn: { id: 'practice', order: '', began: 0, length: 0, spent: 0, asked: 0, right: 0, ended: true },
  words: ['practice', 'practices'],
  line: undefined,
  inBackup: false,
  schema: (joi, { time }) => {
    const count = joi.number().min(0).max(1e9).required();
    return joi.object({
      id: joi.valid('practice').required(),
      order: joi.string().max(64).allow('').required(),
      what: joi.string().max(40),
      began: time,
      length: count,
      spent: count,
      asked: count,
      right: count,
      ended: joi.boolean().required(),
    });
  },
});
