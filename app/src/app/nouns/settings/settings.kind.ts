import { ALL_HANDLINGS, parseTolerance, Tolerance } from '@enumeron/core/reckon';
import { single } from '../../storage/kind';

export const THEMES = ['system', 'paper', 'wings'] as const;

/** How the user wants Enumeron to look and act. */
export interface SettingsRow {
  readonly id: 'settings';
  readonly theme: (typeof THEMES)[number];
  /** Each suit in a tint of its own, not just red and black. */
  readonly suitTints: boolean;
  /** Whether single keys (1 to 7, /, d, u …) act outside of text fields. */
  readonly singleKeys: boolean;
  /** Which handlings the performer is happy to use; all of them until told otherwise. */
  readonly tolerance?: Tolerance;
}

export const DEFAULT_SETTINGS: SettingsRow & { readonly tolerance: Tolerance } = {
  id: 'settings',
  theme: 'system',
  suitTints: false,
  singleKeys: true,
  tolerance: ALL_HANDLINGS,
};

export const SETTINGS = single<SettingsRow>({
  name: 'settings',
  standIn: DEFAULT_SETTINGS,
  words: ['settings', 'settings'],
  line: 'table',
  inBackup: true,
  schema: (joi, { craft }) =>
    joi.object({
      id: joi.valid('settings').required(),
      theme: joi.valid(...THEMES).required(),
      suitTints: joi.boolean().required(),
      singleKeys: joi.boolean().required(),
      tolerance: craft((value) => {
        const outcome = parseTolerance(value);
        return outcome.ok ? undefined : outcome.problems[0];
      }),
    }),
  glance: (row) => {
    const { theme, tolerance } = (row ?? {}) as SettingsRow;
    return THEMES.includes(theme) && (tolerance === undefined || parseTolerance(tolerance).ok);
  },
});
