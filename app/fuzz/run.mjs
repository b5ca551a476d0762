/** Bundles fuzz.ts and runs it: `npm run fuzz -- 7 50000 images` for another seed and count, and some readers alone. */
import { build } from 'esbuild';

const out = new URL('./dist/fuzz.mjs', import.meta.url).pathname;
await build({
  entryPoints: [new URL('./fuzz.ts', import.meta.url).pathname],
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  outfile: out,
  mainFields: ['module', 'main'],
  logLevel: 'error',
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
});
await import(out);
