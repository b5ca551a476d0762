import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { closure, outputOf, readOutputs } from './outputs.mjs';
import { ROOT } from './run.mjs';

/** The fonts that the first screen is set in; the build names them by their contents. */
const FIRST_FONTS = /^(?:familjen-grotesk|atkinson-hyperlegible-(?:next|mono))-latin-wght-normal-|^suits-/;

/** A text in a script with a style that has a cascade layer. */
const LAYERED = /styles:\[`([^`]*@layer [^`]*)`\]/g;

const fontLinks = (folder) => {
  const names = readdirSync(join(ROOT, folder, 'media')).filter((name) => FIRST_FONTS.test(name));
  if (names.length !== 4) throw new Error(`Expected 4 fonts to fetch first, found: ${names.join(', ')}`);
  return names.map(
    (name) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="media/${name}">`,
  );
};

/**
 * The frame's scripts, the first room's among them; the largest first, for the others wait for it. Then storage, which
 * a later visit opens before it paints.
 */
const scriptLinks = (folder) => {
  const outputs = readOutputs(folder);
  const first = [...closure(outputs, outputOf(outputs, 'src/main.ts'))]
    .filter((name) => name.endsWith('.js'))
    .sort((a, b) => outputs[b].bytes - outputs[a].bytes);
  const storage = [...closure(outputs, outputOf(outputs, 'src/app/database.ts'))].filter(
    (name) => name.endsWith('.js') && !first.includes(name),
  );
  return [...first, ...storage].map((name) => `<link rel="modulepreload" href="${name}">`);
};

/**
 * The styles with cascade layers that parts bring which come later: where one is added to a page that has been painted, the
 * browser takes every font to be new and lays all of the page out again. Angular finds them there, and adds no second ones.
 */
const layeredStyles = (folder) => {
  const texts = readdirSync(join(ROOT, folder))
    .filter((name) => name.endsWith('.js'))
    .flatMap((name) => [...readFileSync(join(ROOT, folder, name), 'utf8').matchAll(LAYERED)])
    .map(([, text]) => text);
  if (texts.length === 0 || texts.some((text) => /[\\$<]/.test(text)))
    throw new Error(`Found ${texts.length} styles with layers; some cannot be copied as they are.`);
  return [...new Set(texts)].map((text) => `<style ng-app-id="ng">${text}</style>`);
};

/**
 * Has the browser fetch all that the first screen needs at once, with the fonts behind the largest script; and has what
 * would lay it out anew later in it from the start.
 */
export const preload = (folder) => {
  const page = join(ROOT, folder, 'index.html');
  const [frame, ...others] = scriptLinks(folder);
  const links = [frame, ...fontLinks(folder), ...others, ...layeredStyles(folder)].join('');
  const text = readFileSync(page, 'utf8').replace(/<link rel="modulepreload"[^>]*>/g, '');
  writeFileSync(page, text.replace('</head>', `${links}</head>`));
};
