import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/** The fonts that the first screen is set in; the build names them by their contents. */
const FIRST = /^(?:familjen-grotesk|atkinson-hyperlegible-(?:next|mono))-latin-wght-normal-|^suits-/;

/** Has the browser fetch the first screen's fonts beside the scripts, not after them. */
export const preloadFonts = (folder) => {
  const page = join(ROOT, folder, 'index.html');
  const names = readdirSync(join(ROOT, folder, 'media')).filter((name) => FIRST.test(name));
  if (names.length !== 4) throw new Error(`Expected 4 fonts to fetch first, found: ${names.join(', ')}`);
  const links = names.map(
    (name) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="media/${name}">`,
  );
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${links.join('')}</head>`));
};
