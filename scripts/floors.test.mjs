/** Lint refuses every import that goes up a floor: one of each kind is written, and the refusal expected. */
import assert from 'node:assert/strict';
import { join } from 'node:path';
import test from 'node:test';
import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';
import { floors } from '../eslint.floors.mjs';
import { ROOT } from './run.mjs';

const eslint = new ESLint({
  cwd: ROOT,
  overrideConfigFile: true,
  baseConfig: [{ files: ['**/*.ts'], languageOptions: { parser: tseslint.parser } }, ...floors],
});

/** How often a file with one import is refused. */
const refusals = async (file, imported) => {
  const text = `import { x } from '${imported}';\nexport const y = x;\n`;
  const [{ messages }] = await eslint.lintText(text, { filePath: join(ROOT, file) });
  return messages.filter(({ ruleId }) => ruleId?.includes('restricted')).length;
};

const APP = 'app/src/app';
const FORBIDDEN = [
  ['platform/x.ts', '../storage/kind'],
  ['platform/workers/x.ts', '../../nouns/kinds'],
  ['storage/x.ts', '../nouns/kinds'],
  ['storage/x.ts', '../ui/face'],
  ['nouns/settings/x.ts', '../orders/orders.store'],
  ['nouns/orders/x.ts', '../pack/pack.store'],
  ['nouns/pack/x.ts', '../procedures/sent.store'],
  ['nouns/procedures/x.ts', '../weaves/weaving.store'],
  ['nouns/weaves/x.ts', '../learning/learn.store'],
  ['nouns/learning/x.ts', '../backups/backup'],
  ['nouns/learning/x.ts', '../kinds'],
  ['nouns/orders/x.ts', '../../ui/face'],
  ['nouns/orders/x.ts', '../../boot'],
  ['ui/x.ts', '../rooms'],
  ['ui/form/x.ts', '../../weave/row/row-page'],
  ['arrange/x.ts', '../weave/row/row-page'],
  ['weave/row/x.ts', '../../arrange/room'],
  ['learn/x.ts', '../frame/shell'],
  ['rehearse/x.ts', '../rooms'],
  ['reckon/x.ts', '../boot'],
  ['frame/x.ts', '../arrange/room'],
].map(([file, imported]) => [`${APP}/${file}`, imported]);

const CORE = 'core/src';
FORBIDDEN.push(
  [`${CORE}/deck/x.ts`, '../moves/cut'],
  [`${CORE}/reckon/x.ts`, '../learn/item'],
  [`${CORE}/learn/sums/x.ts`, '../../rehearse/prove'],
  [`${CORE}/deck/x.ts`, '../jobs'],
  [`${CORE}/weave/x.ts`, '../index'],
  [`${CORE}/odds/x.ts`, 'rxjs'],
);

const ALLOWED = [
  ['storage/x.ts', '../platform/clock'],
  ['nouns/backups/x.ts', '../kinds'],
  ['nouns/pack/x.ts', '../orders/orders.store'],
  ['ui/x.ts', '../nouns/pack/pack.store'],
  ['settings/x.ts', '../nouns/settings/settings.store'],
  ['settings/x.ts', '../boot'],
  ['weave/x.ts', '../room'],
  ['frame/x.ts', '../rooms'],
].map(([file, imported]) => [`${APP}/${file}`, imported]);

for (const [file, imported] of FORBIDDEN)
  test(`${file} may not import ${imported}`, async () => assert.equal(await refusals(file, imported), 1));
for (const [file, imported] of ALLOWED)
  test(`${file} may import ${imported}`, async () => assert.equal(await refusals(file, imported), 0));
