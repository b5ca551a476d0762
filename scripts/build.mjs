/** Builds the application and the server, packs the files that are sent, and holds the size budgets. */
import { build } from 'esbuild';
import { ROOT, run } from './run.mjs';
import { compress } from './compress.mjs';
import { preloadFonts } from './preload-fonts.mjs';
import { checkSizes } from './sizes.mjs';

run('npm', ['run', 'ng', '-w', 'app', '--', 'build', '--progress=false']);
await build({
  absWorkingDir: ROOT,
  entryPoints: ['server/src/main.ts'],
  outfile: 'server/dist/main.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
preloadFonts('app/dist');
await compress('app/dist');
checkSizes('app/dist');
