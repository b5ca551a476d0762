import { randomInt, parseOrder, parsePart, Rng, seededRng } from '@enumeron/core/deck';
import { makeName, nameProblem } from '@enumeron/core/formats';
import { DRAFT } from '@enumeron/core/file/rehearse/draft';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { actOut } from '@enumeron/core/file/rehearse/actOut';
import { linesOf } from '@enumeron/core/file/rehearse/editSteps';
import { numbered, unnumbered } from '@enumeron/core/file/rehearse/identity';
import { sayLaid } from '@enumeron/core/file/rehearse/laidWords';
import { readProcedure } from '@enumeron/core/file/rehearse/readProcedure';
import { sayStep } from '@enumeron/core/file/rehearse/sentence';
import { sentAs } from '@enumeron/core/file/rehearse/sent';
import { WORKED } from '@enumeron/core/file/rehearse/worked/worked';
import fc from 'fast-check';
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { makeBackup, parseBackup, RowsByKind } from '../src/app/nouns/backups/backup-file';
import { readRow } from '../src/app/storage/check';
import { databaseOf } from '../src/app/database';
import { Kind, migrated } from '../src/app/storage/kind';
import { DATA_VERSION, kindNamed, KINDS } from '../src/app/nouns/kinds';
import { ORDERS } from '../src/app/nouns/orders/orders.kind';
import { ORDER_FILES, readOrderFile } from '../src/app/nouns/orders/order-files';
import { sampleOrders } from '../src/app/nouns/orders/sample';
import { imagesCsv, parseImagesCsv } from '../src/app/learn/files/images-csv';
import { ROWS } from '../src/testing/kind-rows';

/**
 * Mutated files and rows through every reader and every kind: nothing may be thrown, nothing may take long,
 * nothing may change by a file that is refused, and what is accepted must be stored and read back. The same seed
 * tries the same files.
 */
const [SEED, CASES, SLOW] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 20_000), 2000];

/** After so many files all that is stored is compared with what it was before. */
const LOOKED = 20;

const rng: Rng = seededRng(SEED);
const pick = <Item>(items: readonly Item[]): Item => items[randomInt(rng, items.length)];

const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth);
const ODD: readonly (() => unknown)[] = [
  ...[null, true, -1, 0, 1.5, 1e300, -0, '', ' ', 'new', '\u202e', '<b>', '__proto__', 'AC', '7D*'].map(
    (value) => () => value,
  ),
  () => [],
  () => ({}),
  () => ({ toString: 1 }),
  () => JSON.parse(nested(30)) as unknown,
  () => Array.from({ length: 70 }, (_, index) => index),
  () => new Array<number>(100_000).fill(0),
  () => 'x'.repeat(100_000),
  () => ({ ['__proto__']: { polluted: true }, constructor: { prototype: 1 } }),
  () => randomInt(rng, 200) - 50,
];

/** Every place inside a value, as a path. */
const pathsIn = (value: unknown, path: readonly string[] = [], found: string[][] = []): string[][] => {
  found.push([...path]);
  if (typeof value === 'object' && value !== null && found.length < 3000)
    for (const [name, part] of Object.entries(value)) pathsIn(part, [...path, name], found);
  return found;
};

/** Another value at one place, one part away, or one part there twice or under another name. */
const mutatedValue = (value: unknown): unknown => {
  const copy = structuredClone({ root: value }) as Record<string, unknown>;
  const path = ['root', ...pick(pathsIn(value))];
  const name = path.pop() as string;
  const holder = path.reduce<unknown>(
    (part, each) => (part as Record<string, unknown>)[each],
    copy,
  ) as Record<string, unknown>;
  switch (randomInt(rng, 4)) {
    case 0:
      if (Array.isArray(holder)) holder.splice(Number(name), 1);
      else Reflect.deleteProperty(holder, name);
      break;
    case 1:
      if (Array.isArray(holder)) holder.push(structuredClone(holder[Number(name)]));
      else holder[pick(['extra', 'id', 'constructor', name.toUpperCase()])] = holder[name];
      break;
    default:
      holder[name] = pick(ODD)();
  }
  return copy['root'];
};

/** A value as JSON; what JSON has no word for is null. */
const asText = (value: unknown): string => {
  const text: unknown = JSON.stringify(value);
  return typeof text === 'string' ? text : 'null';
};

/** Characters away, doubled or exchanged; cut off; or wrapped. */
const mutatedText = (text: string): string => {
  const at = randomInt(rng, text.length + 1);
  switch (randomInt(rng, 7)) {
    case 0:
      return text.slice(0, at);
    case 1:
      return text.slice(0, at) + text.slice(at + 1 + randomInt(rng, 20));
    case 2:
      return (
        text.slice(0, at) +
        pick(['"', '{', '}', '[', ',', '\0', '\ud800', '=1+1', '7D', '\n', '-']) +
        text.slice(at)
      );
    case 3:
      return text.slice(0, at) + text.slice(at, at + 200).repeat(3) + text.slice(at);
    case 4:
      return nested(randomInt(rng, 30_000));
    case 5:
      return `{"a":${text}}`;
    default:
      return text.replace(
        pick(['AC', '"version": 2', '"id"', ':', 'true', 'sample']),
        pick(['KS', '3', '""', 'false']),
      );
  }
};

const seeds = async (): Promise<readonly string[]> => {
  const orders = sampleOrders();
  const rows: RowsByKind = {
    orders,
    pack: [
      { id: 'pack', orderId: 'a', name: 'A', home: [1, 2, 3], now: [3, 1, 2], seen: { at: 'top', card: 3 } },
    ],
    beside: [{ id: 'beside', pack: { orderId: 'b', name: 'B', home: [4], now: [4] } }],
    wanted: [{ id: 'wanted', card: 19, number: 15 }],
    facts: [{ id: 'facts', pack: [1, 2, 3], facts: [{ kind: 'cut' }, { kind: 'heap', heaps: 4, heap: 2 }] }],
    patterns: [{ id: 'patterns', values: { 'two-cuts': { first: 3, plain: true, row: [1, 2] } } }],
    settings: [{ id: 'settings', theme: 'wings', suitTints: true, singleKeys: false }],
    damaged: [{ id: 'd', kind: 'orders', key: 'x', text: '{}', problem: 'odd', at: 5 }],
  };
  const made = await makeBackup(rows, new Date(1e12));
  if (!made.ok) throw new Error(JSON.stringify(made.problems));
  const { rows: inFile } = JSON.parse(made.text) as { rows: Record<string, Record<string, unknown>[]> };
  const older = {
    format: 'enumeron-backup',
    version: 1,
    made: new Date(1e12).toISOString(),
    orders: inFile['orders'],
    pack: { ...inFile['pack'][0], id: undefined },
    wanted: { card: '7D', number: 15 },
  };
  return [made.text, made.text, made.text, JSON.stringify(older)];
};

const counts = { accepted: 0, refused: 0, thrown: 0, slow: 0, unreadable: 0, changed: 0 };
const complain = (what: keyof typeof counts, text: string, error?: unknown): void => {
  counts[what]++;
  console.error(`${what}: ${text.slice(0, 200)}`, error ?? '');
};

const db = databaseOf('fuzz', { indexedDB, IDBKeyRange });

const dump = async (): Promise<string> => {
  const all = await Promise.all(KINDS.map(async (kind) => [kind.name, await db.table(kind.table).toArray()]));
  return JSON.stringify(all);
};

/** Stores all rows of an accepted backup, reads each back, and makes a backup of them. */
const storedAndRead = async (rows: RowsByKind): Promise<boolean> => {
  const back: Record<string, unknown[]> = {};
  for (const [name, part = []] of Object.entries(rows)) {
    const kind = kindNamed(name);
    if (!kind) return false;
    await db.table(kind.table).bulkPut([...part]);
    const stored: unknown[] = await db.table(kind.table).bulkGet(part.map((row) => kind.keyOf(row)));
    if (stored.some((row) => !readRow(kind, row).ok)) return false;
    back[name] = stored;
  }
  return (await makeBackup(back, new Date(1e12))).ok;
};

const tryBackup = async (text: string): Promise<void> => {
  const outcome = await parseBackup(text);
  if (!outcome.ok) {
    counts.refused++;
    if (outcome.problems.length === 0 || outcome.problems.some(({ what }) => what === ''))
      complain('unreadable', text);
    return;
  }
  counts.accepted++;
  if (!(await storedAndRead(outcome.backup.rows))) complain('unreadable', text);
};

/** Reads an order's file as the editor does, and makes the order that it would save. */
const tryOrderFile = async (text: string): Promise<void> => {
  const outcome = await readOrderFile(text);
  if (!outcome.ok) {
    counts.refused++;
    return;
  }
  const [whole, part] = [parseOrder(outcome.text), parsePart(outcome.text)];
  const order = whole.ok ? whole.order : part.ok ? part.order : undefined;
  const name = outcome.name ?? 'A file';
  if (!order || nameProblem(name) !== undefined) {
    counts.refused++;
    return;
  }
  counts.accepted++;
  const row = { id: 'a', name: makeName(name), cards: order, sample: false, made: 1, changed: 1 };
  if (!readRow(ORDERS, row).ok) complain('unreadable', text);
};

/** Reads a procedure as its file, its page, Reckon and Learn do; one that can be shown is shown, and one that is right runs. */
const tryProcedure = (text: string): void => {
  const value: unknown = JSON.parse(text);
  const read = readProcedure(value);
  if (!read.ok && read.problems.some(({ where, what }) => !where || what === ''))
    complain('unreadable', text);
  if (DRAFT(value, {}) === undefined) {
    const { steps } = value as Procedure;
    const lines = linesOf(numbered(steps));
    for (const line of lines) if (line.kind === 'step') sayStep(line.step);
    expectSame(unnumbered(numbered(steps)), steps, text);
    for (const row of Object.values((value as Procedure).packets ?? {})) sayLaid(row);
  }
  sentAs(value, 'sent-a');
  if (read.ok) actOut(read.procedure, [], 1, rng);
  counts[read.ok ? 'accepted' : 'refused']++;
};

const expectSame = (one: unknown, other: unknown, text: string): void => {
  if (JSON.stringify(one) !== JSON.stringify(other)) complain('changed', text);
};

/** Reads memory images as CSV; what is read is written and read again. */
const tryImages = (text: string): void => {
  const { images, problems } = parseImagesCsv(text);
  counts[problems.length > 0 ? 'refused' : 'accepted']++;
  const again = parseImagesCsv(imagesCsv(images));
  if (again.problems.length > 0 || again.images.size !== images.size) complain('unreadable', text);
};

/** Reads a row of a kind, brought here from each version; what is a row stands in a file and comes back. */
const tryRow =
  (kind: Kind) =>
  (text: string): void => {
    const value: unknown = JSON.parse(text);
    for (let from = 1; from < DATA_VERSION; from++) migrated(kind, value, from, DATA_VERSION);
    kind.glance?.(value);
    const outcome = readRow(kind, value);
    counts[outcome.ok ? 'accepted' : 'refused']++;
    if (!outcome.ok) return;
    const inFile: unknown = JSON.parse(JSON.stringify(kind.toFile?.(outcome.row) ?? outcome.row));
    if (kind.inBackup && !readRow(kind, inFile).ok) complain('unreadable', text);
  };

/** A reader, files or rows that it takes, and whether what is tried must be JSON. */
interface Tried {
  readonly name: string;
  readonly seeds: readonly string[];
  readonly json: boolean;
  run(text: string): unknown;
}

const [tidemark] = sampleOrders();
const IMAGES = imagesCsv(
  new Map([
    ['card-7D', 'a lighthouse'],
    ['number-15', '=a "quay"'],
    ['card-7D_', "'+rope"],
  ]),
);
const EVERY: readonly Tried[] = [
  { name: 'backups', seeds: await seeds(), json: false, run: tryBackup },
  {
    name: 'orders',
    seeds: await Promise.all(ORDER_FILES.map(async (kind) => kind.make('Tide, "mark"', tidemark.cards))),
    json: false,
    run: tryOrderFile,
  },
  {
    name: 'procedures',
    seeds: WORKED.map(({ procedure }) => JSON.stringify(procedure)),
    json: true,
    run: tryProcedure,
  },
  { name: 'images', seeds: [IMAGES], json: false, run: tryImages },
  ...KINDS.map((kind) => ({
    name: `rows of ${kind.name}`,
    seeds: fc.sample(ROWS[kind.name], { numRuns: 20, seed: SEED }).map((row) => JSON.stringify(row)),
    json: true,
    run: tryRow(kind),
  })),
];

const ALL = EVERY.filter(({ name }) => name.includes(process.argv[4] ?? ''));

/** A file or a row that was changed in one place to three. */
const mutated = (tried: Tried): string => {
  let text = pick(tried.seeds);
  const times = 1 + randomInt(rng, 3);
  for (let time = 0; time < times; time++)
    try {
      text = tried.json || rng() < 0.6 ? asText(mutatedValue(JSON.parse(text))) : mutatedText(text);
    } catch {
      text = mutatedText(text);
    }
  return text;
};

const began = performance.now();
let worst = 0;
for (const tried of ALL) {
  const before = counts.refused;
  for (let index = 0; index < CASES; index++) {
    const text = mutated(tried);
    const stores = tried.name === 'backups' && index % LOOKED === 0;
    const stored = stores ? await dump() : '';
    const refused = counts.refused;
    const start = performance.now();
    try {
      await tried.run(text);
    } catch (error) {
      complain('thrown', `${tried.name}: ${text}`, error);
    }
    const took = performance.now() - start;
    worst = Math.max(worst, took);
    if (took > SLOW) complain('slow', `${tried.name}: ${text}`);
    if (stores && counts.refused > refused && (await dump()) !== stored) complain('changed', text);
  }
  console.log(`${tried.name}: ${(counts.refused - before).toString()} of ${CASES.toString()} refused`);
}
if (({} as { polluted?: boolean }).polluted) complain('changed', 'the prototype of all objects');
console.log(
  `${CASES} of each of ${ALL.length} readers and kinds, seed ${SEED}: ${counts.accepted} accepted, ${counts.refused} refused, ` +
    `${counts.thrown} thrown, ${counts.unreadable} unreadable afterwards, ${counts.changed} changed by a refusal, ` +
    `${counts.slow} over ${SLOW} ms; the slowest took ${worst.toFixed(0)} ms; ${((performance.now() - began) / 1000).toFixed(0)} s in all`,
);
if (counts.thrown + counts.slow + counts.unreadable + counts.changed > 0) process.exit(1);
