import { Reading } from '../../ui/form/reading';

/** How deep a wanted card may lie, and how many of them one heap may have. */
export const DEEPEST = 26;
const MOST = 6;
/** One place of the number that stands for several depths. */
const PLACE = DEEPEST + 1;

/** The depths that one number stands for; one depth is itself, 0 none. */
export const depthsIn = (code: number): readonly number[] =>
  code <= 0 ? [] : [code % PLACE, ...depthsIn(Math.floor(code / PLACE))].filter((depth) => depth > 0);

/** One number for several depths, as it is kept with the other fields. */
export const depthsCode = (depths: readonly number[]): number =>
  depths.reduceRight((code, depth) => code * PLACE + depth, 0);

export const LARGEST_CODE = depthsCode(Array.from({ length: MOST }, () => DEEPEST));

export const showDepths = (code: number): string => depthsIn(code).join(' ') || '0';

/** Reads `3`, or `1 2 3 4` for several cards of a heap; 0 for none. */
export const readDepths = (text: string): Reading => {
  const words = text.split(/[\s,]+/).filter((word) => word !== '');
  const depths = words.map((word) => (/^\d{1,2}$/.test(word) ? Number(word) : -1));
  if (words.length === 0) return {};
  if (depths.length === 1 && depths[0] === 0) return { value: 0 };
  const wrong = depths.findIndex((depth) => depth < 1 || depth > DEEPEST);
  if (wrong >= 0) return { problem: `“${words[wrong]}” is not a depth from 1 to ${DEEPEST.toString()}.` };
  if (depths.length > MOST) return { problem: `A heap has at most ${MOST.toString()} that are wanted.` };
  const twice = depths.findIndex((depth, index) => depths.indexOf(depth) !== index);
  return twice >= 0 ? { problem: `${words[twice]} stands there twice.` } : { value: depthsCode(depths) };
};
