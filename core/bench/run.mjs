/** Bundles bench.ts and runs it: the figures are of the code as a browser gets it. */
import { build } from 'esbuild';

const { outputFiles } = await build({
  entryPoints: [new URL('./bench.ts', import.meta.url).pathname],
  bundle: true,
  format: 'esm',
  platform: 'neutral',
  target: 'es2022',
  write: false,
});
await import(`data:text/javascript;base64,${Buffer.from(outputFiles[0].contents).toString('base64')}`);
