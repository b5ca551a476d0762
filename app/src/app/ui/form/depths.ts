import { DEEPEST, depthsCode, depthsIn, MOST_IN_HEAP } from '../../nouns/pack/busy-told';
import { Reading } from './reading';

export const showDepths = (code: number): string => depthsIn(code).join(' ') || '0';

/** Reads `3`, or `1 2 3 4` for several cards of a heap; 0 for none. */
export const readDepths = (text: string): Reading => {
  const words = text.split(/[\s,]+/).filter((word) => word !== '');
  const depths = words.map((word) => (/^\d{1,2}$/.test(word) ? Number(word) : -1));
  if (words.length === 0) return {};
  if (depths.length === 1 && depths[0] === 0) return { value: 0 };
  const wrong = depths.findIndex((depth) => depth < 1 || depth > DEEPEST);
  if (wrong >= 0) return { problem: `“${words[wrong]}” is not a depth from 1 to ${DEEPEST.toString()}.` };
  if (depths.length > MOST_IN_HEAP)
    return { problem: `A heap has at most ${MOST_IN_HEAP.toString()} that are wanted.` };
  const twice = depths.findIndex((depth, index) => depths.indexOf(depth) !== index);
  return twice >= 0 ? { problem: `${words[twice]} stands there twice.` } : { value: depthsCode(depths) };
};
