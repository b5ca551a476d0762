import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { Outcome, Problem } from '@enumeron/core/deck';
import { readTextFile } from '../../platform/read-file';
import { readRow } from '../../storage/check';
import { Kind, migrated } from '../../storage/kind';
import { DATA_VERSION, kindNamed, KINDS } from '../kinds';
import { readJson } from '../../platform/read-json';

/** This module brings Joi with it; it runs in a worker where that can be had. */

const FORMAT = 'enumeron-backup';

/** The largest file that is read as a backup, in bytes. */
const LARGEST = 200_000_000;

/** How many problems are told. */
const FEW = 5;

const CHOOSE = 'Choose a file that Enumeron saved as a backup.';

/** Rows by the name of their kind. */
export type RowsByKind = Readonly<Partial<Record<string, readonly unknown[]>>>;

/** A backup that was read: every row in it is one. */
export interface Backup {
  readonly made: string;
  /** The kinds that such a backup holds, whether or not there is a row of them. */
  readonly kinds: readonly string[];
  readonly rows: RowsByKind;
  /** Whether the file is as it was saved; undefined where it does not tell. */
  readonly intact: boolean | undefined;
}

const refuse = (
  what: string,
  remedy: string,
  where?: string,
): { ok: false; problems: readonly Problem[] } => ({
  ok: false,
  problems: [{ where, what, remedy }],
});

const checksumOf = (rows: unknown): string =>
  `sha256:${bytesToHex(sha256(utf8ToBytes(JSON.stringify(rows))))}`;

/**
 * Writes rows into the text of a backup, and reads that back before it is given out.
 *
 * @param stored rows by kind; those that cannot be read must not be among them.
 */
export const makeBackup = async (stored: RowsByKind, made: Date): Promise<Outcome<{ text: string }>> => {
  const rows = Object.fromEntries(
    KINDS.filter(({ inBackup }) => inBackup).map((kind) => [
      kind.name,
      (stored[kind.name] ?? []).map((row) => kind.toFile?.(row) ?? row),
    ]),
  );
  const plain: unknown = JSON.parse(JSON.stringify(rows));
  const file = {
    format: FORMAT,
    version: DATA_VERSION,
    made: made.toISOString(),
    checksum: checksumOf(plain),
    rows,
  };
  const text = `${JSON.stringify(file, null, 1)}\n`;
  const outcome = await parseBackup(text);
  return outcome.ok ? { ok: true, text } : outcome;
};

/** Reads a backup file that the user chose. */
export const readBackup = async (file: File): Promise<Outcome<{ backup: Backup }>> => {
  const read = await readTextFile(file, LARGEST, 'a backup');
  return read.ok ? parseBackup(read.text) : read;
};

/** Version 1 had the rows beside each other, those of single kinds without their key. */
const rowsOfVersion1 = ({
  orders,
  pack,
  beside,
  wanted,
  settings,
}: Record<string, unknown>): Record<string, unknown> => {
  const one = (id: string, row: unknown): unknown[] =>
    row === undefined ? [] : [typeof row === 'object' && row !== null ? { ...row, id } : row];
  return {
    orders,
    pack: one('pack', pack),
    beside: beside === undefined ? [] : [{ id: 'beside', pack: beside }],
    wanted: one('wanted', wanted),
    settings: one('settings', settings),
  };
};

/** Reads the text of a backup. Everything in it is checked before anything of it is given out. */
export const parseBackup = async (text: string): Promise<Outcome<{ backup: Backup }>> => {
  const json = await readJson(text, CHOOSE);
  if (!json.ok) return json;
  const file = (typeof json.value === 'object' && json.value !== null ? json.value : {}) as Record<
    string,
    unknown
  >;
  const { format, version, made, checksum, ...rest } = file;
  if (format !== FORMAT) return refuse('The file is not a backup of Enumeron.', CHOOSE);
  if (typeof version !== 'number' || !Number.isSafeInteger(version) || version < 1)
    return refuse('The file does not say which version of the format it has.', CHOOSE, 'version');
  if (version > DATA_VERSION)
    return refuse(
      `The backup was made by a newer Enumeron (version ${version.toString()} of the format, this one reads ${DATA_VERSION.toString()}).`,
      'Reload to update Enumeron, then restore it.',
    );
  if (typeof made !== 'string' || Number.isNaN(Date.parse(made)))
    return refuse('The file does not say when it was made.', 'Write it as 2026-11-25T20:15:00.000Z.', 'made');
  const parts = version === 1 ? rowsOfVersion1(rest) : rest['rows'];
  if (typeof parts !== 'object' || parts === null) return refuse('The file holds no rows.', CHOOSE, 'rows');
  const odd = oddPart(version, rest, parts);
  if (odd !== undefined) return refuse('This does not belong in a backup.', 'Take it out.', odd.slice(0, 40));
  const intact = checksum === undefined ? undefined : checksum === checksumOf(parts);
  return readParts(parts as Record<string, unknown>, { version, made, intact });
};

/** A part that no version before or this one has. */
const oddPart = (version: number, rest: Record<string, unknown>, parts: object): string | undefined => {
  const known = version === 1 ? ['orders', 'pack', 'beside', 'wanted', 'settings'] : ['rows'];
  return (
    Object.keys(rest).find((name) => !known.includes(name)) ??
    Object.keys(parts).find((name) => !kindNamed(name)?.inBackup)
  );
};

const readParts = (
  parts: Record<string, unknown>,
  { version, made, intact }: Pick<Backup, 'made' | 'intact'> & { version: number },
): Outcome<{ backup: Backup }> => {
  const problems: Problem[] = [];
  const rows: Record<string, readonly unknown[]> = {};
  for (const [name, part] of Object.entries(parts)) {
    const outcome = readPart(kindNamed(name) as Kind, part, version);
    if (outcome.ok) rows[name] = outcome.rows;
    else problems.push(...outcome.problems);
  }
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, FEW) }
    : { ok: true, backup: { made, intact, rows, kinds: Object.keys(parts) } };
};

const readPart = (kind: Kind, part: unknown, version: number): Outcome<{ rows: readonly unknown[] }> => {
  const { name, words, most } = kind;
  if (!Array.isArray(part)) return refuse('This is no list.', CHOOSE, name);
  if (part.length > most)
    return refuse(
      `There are ${part.length.toString()} ${words[1]}, and at most ${most.toString()} are read.`,
      'Take some out.',
      name,
    );
  const rows: unknown[] = [];
  const problems: Problem[] = [];
  const keys = new Set<string>();
  for (const [index, stored] of part.entries()) {
    const outcome = readRow(kind, migrated(kind, stored, version, DATA_VERSION));
    const where = `${name} › ${(index + 1).toString()}`;
    if (!outcome.ok)
      problems.push(
        ...outcome.problems.map((problem) => ({
          ...problem,
          where: problem.where === undefined ? where : `${where} › ${problem.where}`,
        })),
      );
    else if (keys.has(kind.keyOf(outcome.row)))
      problems.push({ where, what: `The same ${words[0]} is there twice.`, remedy: 'Take one of them out.' });
    else {
      keys.add(kind.keyOf(outcome.row));
      rows.push(outcome.row);
    }
    if (problems.length >= FEW) break;
  }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, rows };
};
