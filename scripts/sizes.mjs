import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/** Budgets in bytes, gzipped: what every visitor loads first, and each room on top of it. */
const INITIAL = 200_000;
const ROOM = 60_000;

/** Every output that an output brings with it, itself included, over static imports. */
const closure = (outputs, name, seen = new Set()) => {
  if (seen.has(name) || !outputs[name]) return seen;
  seen.add(name);
  for (const { path, kind } of outputs[name].imports)
    if (kind === 'import-statement') closure(outputs, path, seen);
  return seen;
};

/** Compares the gzipped scripts with the budgets, and ends the build when one is over. */
export const checkSizes = (folder) => {
  const { outputs } = JSON.parse(readFileSync(join(ROOT, folder, 'stats.json'), 'utf8'));
  const packed = (names) =>
    [...names]
      .filter((name) => name.endsWith('.js'))
      .reduce((sum, name) => sum + statSync(join(ROOT, folder, `${name}.gz`)).size, 0);
  const main = Object.keys(outputs).find((name) => outputs[name].entryPoint === 'src/main.ts');
  const initial = closure(outputs, main);
  const rows = [['initial', packed(initial), INITIAL]];
  for (const [name, { entryPoint }] of Object.entries(outputs)) {
    if (!entryPoint || initial.has(name) || !name.endsWith('.js')) continue;
    const own = [...closure(outputs, name)].filter((each) => !initial.has(each));
    rows.push([entryPoint, packed(own), ROOM]);
  }
  for (const [name, size, limit] of rows)
    console.log(`${(size / 1000).toFixed(1).padStart(7)} kB of ${limit / 1000} gzipped  ${name}`);
  const over = rows.filter(([, size, limit]) => size > limit);
  if (over.length > 0) {
    console.error(`Over the size budget: ${over.map(([name]) => name).join(', ')}`);
    process.exit(1);
  }
};
