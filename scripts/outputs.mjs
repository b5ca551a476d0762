import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/** What the build says of its outputs, by file name: entry point, inputs, imports. */
export const readOutputs = (folder) =>
  JSON.parse(readFileSync(join(ROOT, folder, 'stats.json'), 'utf8')).outputs;

/** The name of the output that a source file became part of. */
export const outputOf = (outputs, source) => {
  const name = Object.keys(outputs).find((each) => each.endsWith('.js') && source in outputs[each].inputs);
  if (!name) throw new Error(`No output of the build contains ${source}.`);
  return name;
};

/** Every output that an output brings with it, itself included, over static imports. */
export const closure = (outputs, name, seen = new Set()) => {
  if (seen.has(name) || !outputs[name]) return seen;
  seen.add(name);
  for (const { path, kind } of outputs[name].imports)
    if (kind === 'import-statement') closure(outputs, path, seen);
  return seen;
};
