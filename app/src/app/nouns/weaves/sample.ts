import { parseMovesText } from '@enumeron/core/moves';
import { seededRng } from '@enumeron/core/deck';
import { Kind } from '../../storage/kind';
import { WEAVE_ROWS, WeaveRowRow } from './weave-rows.kind';
import { WEAVES_DONE, WeaveDoneRow } from './weaves.kind';
import { sampleOf, Samples } from '../../storage/samples';
import { TIDEMARK } from '../orders/tidemark';

/** Rows that the late set at the Salt Room uses. */
const ROWS: readonly (readonly [id: string, name: string, moves: string])[] = [
  ['sample-row-lamp', 'The lamp to the top', 'out, in, cut 9, in'],
  ['sample-row-eight', 'Eight outs, home again', 'out, out, out, out, out, out, out, out'],
  ['sample-row-tide', 'Out with the tide', 'in, in, cut 20, out, unweave in'],
];

/** Two weeks of evenings, in milliseconds between weaves. */
const [WEAVES, APART] = [24, 14 * 3_600_000];

const rows = (): WeaveRowRow[] =>
  ROWS.map(([id, name, moves], index) => ({
    ...{ id, name, row: parseMovesText(moves, TIDEMARK.cards).moves, at: 1 + index },
    sample: true as const,
  }));

/** Weaves that slip now and then, mostly near the face. @param now when the last of them was, at most. */
const weaves = (now: number): WeaveDoneRow[] => {
  const rng = seededRng(5);
  return Array.from({ length: WEAVES }, (_, index): WeaveDoneRow => {
    const slips = rng() < 0.6 ? [] : [Math.min(52, 38 + Math.floor(rng() * 14))];
    return {
      ...{ id: `sample-weave-${index.toString()}`, at: now - (index + 1) * APART },
      ...{ weave: rng() < 0.5 ? 'in' : 'out', size: 52, cut: 26, faults: slips.length, slips },
      sample: true,
    };
  });
};

/** The kinds of which the sample of this room has rows. */
export const SAMPLE_KINDS: readonly Kind[] = [WEAVE_ROWS, WEAVES_DONE];

/** A few kept rows and two weeks of practice, up to a moment. */
export const weaveSamples = (now: number): Samples => [
  sampleOf(WEAVE_ROWS, rows()),
  sampleOf(WEAVES_DONE, weaves(now)),
];
