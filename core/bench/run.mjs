/** Bundles bench.ts and runs each part of it by itself: the figures are of the code as a browser gets it. */
import { spawnSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';

const folder = await mkdtemp(join(tmpdir(), 'enumeron-bench-'));
const bundle = join(folder, 'bench.mjs');
await build({
  entryPoints: [new URL('./bench.ts', import.meta.url).pathname],
  bundle: true,
  format: 'esm',
  platform: 'neutral',
  target: 'es2022',
  outfile: bundle,
});
const { href } = pathToFileURL(bundle);
const { BENCHES } = await import(href);
const wanted = process.argv.slice(2);
let failed = false;
for (const name of Object.keys(BENCHES).filter((each) => wanted.length === 0 || wanted.includes(each))) {
  const run = `import(${JSON.stringify(href)}).then(({ BENCHES }) => BENCHES[${JSON.stringify(name)}]())`;
  const { status } = spawnSync(process.execPath, ['--input-type=module', '-e', run], { stdio: 'inherit' });
  failed ||= status !== 0;
}
await rm(folder, { recursive: true });
process.exitCode = failed ? 1 : 0;
