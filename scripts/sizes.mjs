import { statSync } from 'node:fs';
import { join } from 'node:path';
import { closure, outputOf, readOutputs } from './outputs.mjs';
import { ROOT } from './run.mjs';

/**
 * Budgets in bytes, gzipped: what every visitor loads first, what a later visit waits for besides before its first
 * answer (storage), what every visit loads behind the first painting (storage, and what checks its rows) and as the rest of
 * the frame, each room on top of these, each part of a room on top of that, what checks whole files and the worker of all jobs.
 */
const INITIAL = 160_000;
const LATER = 41_000;
const BEHIND = 48_000;
const FRAME = 90_000;
const ROOM = 68_000;
const CHECKING_WORKER = 90_000;
const JOBS_WORKER = 126_000;
/** Wishes are judged and found in the worker, but each kind is one file: its page has all of them, too. */
const WISHES = 86_000;

/** The budget of what is reached from a source. */
const limitOf = (source) =>
  /backup(?:\.worker|-file)\.ts$/.test(source)
    ? CHECKING_WORKER
    : source.endsWith('jobs.worker.ts')
      ? JOBS_WORKER
      : source.endsWith('wish-maker.ts')
        ? WISHES
        : ROOM;

/** What is loaded behind the first painting. */
export const STORAGE = 'src/app/database.ts';
export const BEHIND_SOURCES = [STORAGE, 'src/app/storage/quick.ts'];

/** What the frame brings as soon as the browser is idle, on every visit. */
export const FRAME_SOURCES = ['ask/ask-line', 'tools', 'rail/slot-menu'].map(
  (name) => `src/app/frame/${name}.ts`,
);

/** The outputs that are loaded when they are wanted: each that is imported so, and the workers. */
const lazy = (outputs) => {
  const imported = Object.values(outputs)
    .flatMap(({ imports }) => imports)
    .filter(({ kind }) => kind === 'dynamic-import')
    .map(({ path }) => path);
  const workers = Object.keys(outputs).filter((name) => /^worker-.*\.js$/.test(name));
  return new Set([...imported, ...workers]);
};

/** The file that an output was made for: it comes last in it; an output that is all imports passes one on. */
const sourceOf = (outputs, name) => {
  const { inputs, imports } = outputs[name];
  return Object.keys(inputs).at(-1) ?? sourceOf(outputs, imports.at(-1).path);
};

/** What is there by then when a part comes: all of its room, and of the one part that leads to it. */
const thereBefore = (outputs, name, source) => {
  const from = Object.keys(outputs).filter((other) =>
    outputs[other].imports.some(({ path, kind }) => kind === 'dynamic-import' && path === name),
  );
  const room = /^src\/app\/(\w+)\//.exec(source)?.[1];
  const routes = `src/app/${room}/${room}.routes.ts`;
  const roomOutput = Object.keys(outputs).find((each) => routes in outputs[each].inputs);
  return new Set(
    [...(roomOutput && roomOutput !== name ? [roomOutput] : []), ...(from.length === 1 ? from : [])].flatMap(
      (each) => [...closure(outputs, each)],
    ),
  );
};

/** Compares the gzipped scripts with the budgets, and ends the build when one is over. */
export const checkSizes = (folder) => {
  const outputs = readOutputs(folder);
  const packed = (names) =>
    [...names]
      .filter((name) => name.endsWith('.js'))
      .reduce((sum, name) => sum + statSync(join(ROOT, folder, `${name}.gz`)).size, 0);
  const initial = closure(outputs, outputOf(outputs, 'src/main.ts'));
  const beyond = (sources) =>
    new Set(
      sources
        .flatMap((source) => [...closure(outputs, outputOf(outputs, source))])
        .filter((each) => !initial.has(each)),
    );
  const behind = beyond(BEHIND_SOURCES);
  const frame = new Set([...beyond(FRAME_SOURCES)].filter((each) => !behind.has(each)));
  const rows = [
    ['initial', packed(initial), INITIAL],
    ['a later visit, before its first answer', packed(beyond([STORAGE])), LATER],
    ['behind the first painting', packed(behind), BEHIND],
    ['the rest of the frame', packed(frame), FRAME],
  ];
  for (const name of lazy(outputs)) {
    const source = sourceOf(outputs, name);
    // A worker shares nothing with the page.
    const worker = name.startsWith('worker-');
    const there = worker ? new Set() : thereBefore(outputs, name, source);
    const own = [...closure(outputs, name)].filter(
      (each) => worker || ![initial, behind, frame, there].some((known) => known.has(each)),
    );
    if (own.length > 0) rows.push([source, packed(own), limitOf(source)]);
  }
  for (const [name, size, limit] of rows)
    console.log(`${(size / 1000).toFixed(1).padStart(7)} kB of ${limit / 1000} gzipped  ${name}`);
  const over = rows.filter(([, size, limit]) => size > limit);
  if (over.length > 0) {
    console.error(`Over the size budget: ${over.map(([name]) => name).join(', ')}`);
    process.exit(1);
  }
};
