/**
 * Makes app/src/styles/fonts/suits.woff2: the suit symbols and the few signs that the text fonts lack, cut out
 * of Noto Sans Symbols 2 (SIL Open Font License 1.1), so that no suit is ever drawn by a system's own font or
 * as an emoji. The file is in the tree; run this only to change its characters, after
 *   npm install --no-save subset-font@2.9.0 @fontsource/noto-sans-symbols-2@5.3.0
 */
import { readFile, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import subsetFont from 'subset-font';

const CHARACTERS = '♠♡♢♣♤♥♦♧←→✓';
const source = createRequire(import.meta.url).resolve(
  '@fontsource/noto-sans-symbols-2/files/noto-sans-symbols-2-symbols-400-normal.woff2',
);
const font = await subsetFont(await readFile(source), CHARACTERS, { targetFormat: 'woff2' });
await writeFile(new URL('../app/src/styles/fonts/suits.woff2', import.meta.url), font);
console.log(`${font.length} bytes for ${CHARACTERS}`);
