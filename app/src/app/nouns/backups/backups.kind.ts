import { single } from '../../storage/kind';

/** When a backup was last saved as a file; 0 stands for never. */
export interface BackupsRow {
  readonly id: 'backups';
  readonly saved: number;
}

export const BACKUPS = single<BackupsRow>({
  name: 'backups',
  standIn: { id: 'backups', saved: 0 },
  words: ['note of the last backup', 'notes of the last backup'],
  line: undefined,
  inBackup: false,
  schema: (joi, { time }) => joi.object({ id: joi.valid('backups').required(), saved: time }),
});
