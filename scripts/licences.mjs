import { appendFileSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/** Fonts that are shipped: the build lists the licences of scripts only. */
const FONTS = ['familjen-grotesk', 'atkinson-hyperlegible-next', 'atkinson-hyperlegible-mono'];

/** The suits are cut out of this one, under the licence of the others: see suits-font.mjs. */
const SUITS =
  'Noto Sans Symbols 2 (suit symbols): Copyright 2022 The Noto Project Authors, SIL Open Font License 1.1.';

/** Adds the fonts' licence texts to those of the scripts. */
export const addLicences = (folder) => {
  const texts = FONTS.map(
    (font) =>
      `Font: ${font}\n\n${readFileSync(join(ROOT, `node_modules/@fontsource-variable/${font}/LICENSE`), 'utf8')}`,
  );
  const rule = `\n${'-'.repeat(80)}\n`;
  appendFileSync(join(ROOT, folder, '3rdpartylicenses.txt'), rule + [...texts, SUITS].join(rule) + '\n');
};
