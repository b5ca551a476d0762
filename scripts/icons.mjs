/**
 * Draws the icons of the installed application from the mark: `npm run icons`. They are committed; run it again when the
 * mark changes.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { chromium } from '@playwright/test';
import { chromiumPath } from './chromium.mjs';
import { ROOT } from './run.mjs';

const FOLDER = join(ROOT, 'app/public/icons');
const [PAPER, INK, GOLD] = ['#eef0ea', '#18202b', '#f5b83d'];

/** The mark on paper. @param share of the width that it takes. @param round of the corners, of the width. */
const drawn = (size, share, round) => {
  const scale = (size * share) / 28;
  const [x, y] = [(size - 28 * scale) / 2, (size - 22 * scale) / 2];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">
    <rect width="${size}" height="${size}" rx="${size * round}" fill="${PAPER}"/>
    <g transform="translate(${x} ${y}) scale(${scale})" fill="none" stroke-linecap="round">
      <path d="M4 2v18M10 2v18M16 2v18M22 2v18" stroke="${INK}" stroke-width="2.6"/>
      <path d="M1 17 27 6" stroke="${GOLD}" stroke-width="3"/>
    </g></svg>`;
};

/** A mask may cut off a fifth all round; what is not cut has corners of its own. */
const ICONS = [
  ...[48, 72, 96, 128, 144, 192, 256, 384, 512].flatMap((size) => [
    { name: `icon-${size}`, size, svg: drawn(size, 0.74, 0.2) },
    { name: `maskable-${size}`, size, svg: drawn(size, 0.52, 0) },
  ]),
  { name: 'apple-180', size: 180, svg: drawn(180, 0.66, 0) },
];

const draw = async () => {
  mkdirSync(FOLDER, { recursive: true });
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] });
  const page = await browser.newPage();
  for (const { name, size, svg } of ICONS) {
    await page.setViewportSize({ width: size, height: size });
    await page.setContent(`<style>body{margin:0}svg{display:block}</style>${svg}`);
    writeFileSync(join(FOLDER, `${name}.png`), await page.screenshot({ omitBackground: true }));
  }
  await browser.close();
};

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) await draw();
