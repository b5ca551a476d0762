import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join as pathOf } from 'node:path';
import { transform } from 'esbuild';
import { rollup } from 'rollup';
import { closure, outputOf, readOutputs } from './outputs.mjs';
import { ROOT } from './run.mjs';
import { BEHIND_SOURCES, FRAME_SOURCES, STORAGE } from './sizes.mjs';

/** What the same rooms share is a script of its own from so many bytes on. */
const SMALL = 8_000;
/** A script of fewer bytes is joined with others that the same rooms use, whichever of their parts need it. */
const TINY = 3_000;

const isStatic = ({ kind }) => kind === 'import-statement';
const isWhenWanted = ({ kind }) => kind === 'dynamic-import';

/** The room that an output was made for, where it was made for one. */
const roomOf = (outputs, name) =>
  /^src\/app\/(?!frame|nouns|platform|storage|ui)(\w+)\//.exec(outputs[name].entryPoint ?? '')?.[1];

/**
 * The rooms that use each script. One that is loaded when wanted is used by its room; one of no room, by the rooms that
 * want it.
 */
const usersOf = (outputs, first) => {
  const users = new Map(Object.keys(outputs).map((name) => [name, new Set()]));
  const wants = (user, entry) => {
    for (const name of closure(outputs, entry)) {
      if (users.get(name).has(user)) continue;
      users.get(name).add(user);
      for (const { path } of outputs[name].imports.filter(isWhenWanted))
        wants(roomOf(outputs, path) ?? user, path);
    }
  };
  for (const name of first)
    for (const { path } of outputs[name].imports.filter(isWhenWanted))
      wants(roomOf(outputs, path) ?? path, path);
  return users;
};

/** What comes in turn behind the first screen, each without what came before. */
const comingAfter = (outputs, first) => {
  const there = new Set(first);
  return Object.entries({ storage: [STORAGE], behind: BEHIND_SOURCES, frame: FRAME_SOURCES }).flatMap(
    ([group, sources]) =>
      sources
        .flatMap((source) => [...closure(outputs, outputOf(outputs, source))])
        .filter((name) => !there.has(name) && there.add(name))
        .map((name) => [name, group]),
  );
};

/** Whether a script that is loaded when wanted is tiny, and brings only what is there when its room is. */
const comesWithRoom = (outputs, before, name, rooms) => {
  if (outputs[name].bytes >= TINY || rooms.size !== 1) return false;
  const [room] = rooms;
  const ofRoom = new Set(
    Object.keys(outputs)
      .filter((each) => outputs[each].entryPoint === `src/app/${room}/${room}.routes.ts`)
      .flatMap((each) => [...closure(outputs, each)]),
  );
  return [...closure(outputs, name)].every((each) => each === name || before.has(each) || ofRoom.has(each));
};

/** Groups that import each other in a circle are made one: a script cannot wait for one that waits for it. */
const withoutCircles = (outputs, groups) => {
  const needs = new Map();
  for (const [name, group] of groups) {
    const others = needs.get(group) ?? needs.set(group, new Set()).get(group);
    for (const { path } of outputs[name].imports.filter(isStatic)) others.add(groups.get(path) ?? path);
  }
  // What stands in no group is needed by no other script.
  const leads = (from, to, seen = new Set()) =>
    [...(needs.get(from) ?? [])].some(
      (each) => each === to || (!seen.has(each) && seen.add(each) && leads(each, to, seen)),
    );
  for (const one of needs.keys())
    for (const other of needs.keys())
      if (one < other && leads(one, other) && leads(other, one))
        return withoutCircles(
          outputs,
          new Map([...groups].map(([name, group]) => [name, group === other ? one : group])),
        );
  return groups;
};

/** The names of all outputs that some output imports in a way. */
const importedBy = (outputs, way) =>
  new Set(Object.values(outputs).flatMap(({ imports }) => imports.filter(way).map(({ path }) => path)));

/** The parts, loaded when wanted, that each script is needed by. */
const partsOf = (outputs) => {
  const parts = new Map(Object.keys(outputs).map((name) => [name, []]));
  for (const part of importedBy(outputs, isWhenWanted))
    for (const name of closure(outputs, part)) parts.get(name).push(part);
  return parts;
};

/**
 * The script that each script becomes part of, where it is joined with others: what comes in turn behind the first
 * screen is one each; what the same parts need is one; small ones are one for the same rooms, or for equally many.
 */
const groupsOf = (outputs, first) => {
  const groups = new Map([...[...first].map((name) => [name, 'first']), ...comingAfter(outputs, first)]);
  const there = new Set(groups.keys());
  const isSmall = (name) =>
    [...closure(outputs, name)].every((each) => there.has(each) || outputs[each].bytes < TINY);
  const [rooms, parts] = [usersOf(outputs, first), partsOf(outputs)];
  const shared = importedBy(outputs, isStatic);
  const bytes = new Map();
  for (const name of Object.keys(outputs)) {
    if (there.has(name)) continue;
    if (!shared.has(name) && !comesWithRoom(outputs, there, name, rooms.get(name))) continue;
    const users = shared.has(name) && !isSmall(name) ? parts.get(name) : rooms.get(name);
    const group = [...users].sort().join(' ');
    groups.set(name, group);
    bytes.set(group, (bytes.get(group) ?? 0) + outputs[name].bytes);
  }
  for (const [name, group] of groups) {
    const { size } = rooms.get(name);
    if (!there.has(name) && size > 1 && isSmall(name) && bytes.get(group) < SMALL)
      groups.set(name, `of ${size}`);
  }
  return withoutCircles(outputs, groups);
};

/** Every output that a visit of the page may load. */
const reached = (outputs, name, seen = new Set()) => {
  if (seen.has(name)) return seen;
  seen.add(name);
  for (const each of outputs[name].imports)
    if (isStatic(each) || isWhenWanted(each)) reached(outputs, each.path, seen);
  return seen;
};

/** What the build says of its outputs, of the joined ones. */
const statsOf = (chunks, outputs) =>
  Object.fromEntries(
    chunks.map(({ fileName, code, modules, imports, dynamicImports, isEntry, facadeModuleId }) => [
      fileName,
      {
        bytes: Buffer.byteLength(code),
        inputs: Object.assign({}, ...Object.keys(modules).map((name) => outputs[name].inputs)),
        imports: [
          ...imports.map((path) => ({ path, kind: 'import-statement' })),
          ...dynamicImports.map((path) => ({ path, kind: 'dynamic-import' })),
        ],
        ...(isEntry && { entryPoint: outputs[facadeModuleId].entryPoint }),
      },
    ]),
  );

/**
 * Joins the scripts of a build: the bundler makes one for every set of parts that share something, hundreds of them, and
 * each costs a request. The scripts of workers stay as they are.
 *
 * @param quick leaves in what the bundler has left, which is hardly more and is found in half the time.
 */
export const joinScripts = async (folder, { quick = false } = {}) => {
  const at = (name) => pathOf(ROOT, folder, name);
  const all = readOutputs(folder);
  const main = outputOf(all, 'src/main.ts');
  const ofPage = reached(all, main);
  const outputs = Object.fromEntries(Object.entries(all).filter(([name]) => ofPage.has(name)));
  const first = closure(outputs, main);
  const groups = groupsOf(outputs, first);
  const bundle = await rollup({
    input: main,
    treeshake: !quick,
    plugins: [
      {
        name: 'scripts of the build',
        resolveId: (source) => source.replace(/^\.\//, ''),
        load: (name) => readFileSync(at(name), 'utf8'),
      },
    ],
  });
  const { output } = await bundle.generate({
    entryFileNames: 'main-[hash].js',
    chunkFileNames: 'chunk-[hash].js',
    manualChunks: (name) => groups.get(name),
    onlyExplicitManualChunks: true,
    minifyInternalExports: true,
    hoistTransitiveImports: false,
  });
  for (const name of Object.keys(outputs)) rmSync(at(name));
  for (const { fileName, code } of output) {
    const small = await transform(code, {
      minify: true,
      format: 'esm',
      target: 'es2022',
      legalComments: 'none',
    });
    writeFileSync(at(fileName), small.code);
  }
  const others = Object.entries(all).filter(([name]) => !ofPage.has(name));
  const stats = { outputs: { ...statsOf(output, outputs), ...Object.fromEntries(others) } };
  writeFileSync(at('stats.json'), JSON.stringify(stats));
  const page = readFileSync(at('index.html'), 'utf8');
  writeFileSync(at('index.html'), page.replaceAll(main, output.find(({ isEntry }) => isEntry).fileName));
};
