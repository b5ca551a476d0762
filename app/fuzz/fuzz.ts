import { below, parseOrder, parsePart, Rng, seededRng } from '@enumeron/core/deck';
import { makeName, nameProblem } from '@enumeron/core/formats';
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';
import { makeBackup, parseBackup, RowsByKind } from '../src/app/data/backup-file';
import { readRow } from '../src/app/data/check';
import { Database } from '../src/app/data/database';
import { kindNamed, KINDS } from '../src/app/data/kinds';
import { ORDERS } from '../src/app/data/kinds/orders';
import { ORDER_FILES, readOrderFile } from '../src/app/data/order-files';
import { sampleOrders } from '../src/app/data/sample';

/**
 * Mutated backups and order files through the code that reads them: nothing may be thrown, nothing may take long,
 * nothing may change by a file that is refused, and what is accepted must be stored and read back. The same seed
 * tries the same files.
 */
const [SEED, CASES, SLOW] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 20_000), 2000];

/** After so many files all that is stored is compared with what it was before. */
const LOOKED = 20;

const rng: Rng = seededRng(SEED);
const pick = <Item>(items: readonly Item[]): Item => items[below(rng, items.length)];

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
  () => below(rng, 200) - 50,
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
  switch (below(rng, 4)) {
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
  const at = below(rng, text.length + 1);
  switch (below(rng, 7)) {
    case 0:
      return text.slice(0, at);
    case 1:
      return text.slice(0, at) + text.slice(at + 1 + below(rng, 20));
    case 2:
      return (
        text.slice(0, at) +
        pick(['"', '{', '}', '[', ',', '\0', '\ud800', '=1+1', '7D', '\n', '-']) +
        text.slice(at)
      );
    case 3:
      return text.slice(0, at) + text.slice(at, at + 200).repeat(3) + text.slice(at);
    case 4:
      return nested(below(rng, 30_000));
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

const counts = { accepted: 0, refused: 0, thrown: 0, slow: 0, unreadable: 0, changed: 0, orders: 0 };
const complain = (what: keyof typeof counts, text: string, error?: unknown): void => {
  counts[what]++;
  console.error(`${what}: ${text.slice(0, 200)}`, error ?? '');
};

const db = new Database('fuzz', { indexedDB, IDBKeyRange });

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
  counts.orders++;
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

const [tidemark] = sampleOrders();
const backups = await seeds();
const files = await Promise.all(ORDER_FILES.map(async (kind) => kind.make('Tide, "mark"', tidemark.cards)));
const began = performance.now();
let worst = 0;
for (let index = 0; index < CASES; index++) {
  const ofOrder = index % 4 === 0;
  let text = pick(ofOrder ? files : backups);
  const times = 1 + below(rng, 3);
  for (let time = 0; time < times; time++)
    try {
      text = rng() < 0.6 ? asText(mutatedValue(JSON.parse(text))) : mutatedText(text);
    } catch {
      text = mutatedText(text);
    }
  const before = index % LOOKED === 0 ? await dump() : '';
  const refused = counts.refused;
  const start = performance.now();
  try {
    await (ofOrder ? tryOrderFile(text) : tryBackup(text));
  } catch (error) {
    complain('thrown', text, error);
  }
  const took = performance.now() - start;
  worst = Math.max(worst, took);
  if (took > SLOW) complain('slow', text);
  if (before !== '' && counts.refused > refused && (await dump()) !== before) complain('changed', text);
}
if (({} as { polluted?: boolean }).polluted) complain('changed', 'the prototype of all objects');
console.log(
  `${CASES} files (${counts.orders} of orders), seed ${SEED}: ${counts.accepted} accepted, ${counts.refused} refused, ` +
    `${counts.thrown} thrown, ${counts.unreadable} unreadable afterwards, ${counts.changed} changed by a refusal, ` +
    `${counts.slow} over ${SLOW} ms; the slowest took ${worst.toFixed(0)} ms; ${((performance.now() - began) / 1000).toFixed(0)} s in all`,
);
if (counts.thrown + counts.slow + counts.unreadable + counts.changed > 0) process.exit(1);
