import { Card } from '../../deck/card';
import { seededRng } from '../../deck/rng';
import {
  measureSpread,
  SPREAD_MEASURES,
  SpreadCounts,
  spreadCounter,
  SpreadMeasure,
  spreadPercentile,
} from '../../arrange/spread';
import { facesWhere } from '../find/faces';
import { onPlaces, rows } from '../find/sites';
import { notAllAlike } from '../find/terms/alike';
import { fewPairs, relationTable, tableOf } from '../find/terms/pair';
import { never } from '../find/terms/single';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { Laid, rankAt, valueAt } from '../look';
import { share } from '../slots';
import { VALUES } from './runs';

const PACKS = 20_000;
const SEED = 52;

const NAMES: Readonly<Record<SpreadMeasure, string>> = {
  colourRun: 'of a colour in a row',
  suitRun: 'of a suit in a row',
  likeRanks: 'neighbours of a rank',
  sequences: 'neighbours in sequence',
};

const KNOWN = new Map<string, SpreadCounts>();

/** What well-shuffled packs of these cards show: always the same for the same cards. */
const shuffledPacks = (cards: readonly Card[]): SpreadCounts => {
  // An indifferent card has the largest number.
  const sorted = [...cards].sort((a, b) => a - b);
  const key = sorted.join(' ');
  const known = KNOWN.get(key);
  if (known) return known;
  const counter = spreadCounter(sorted, seededRng(SEED));
  counter.run(PACKS);
  const counts = counter.read();
  if (KNOWN.size > 20) KNOWN.clear();
  KNOWN.set(key, counts);
  return counts;
};

/** Each of four measures is no odder than in so many of 100 well-shuffled packs. */
export const LOOKS_SHUFFLED: WishKind<'looks shuffled'> = {
  begins: 'it looks shuffled',
  says: () => 'It looks as if it was shuffled: not odder than {most} of 100',
  fields: { most: share(0, 100) },
  begin: { kind: 'looks shuffled', most: 75 },
  cases: (laid: Laid, { most }) => {
    const counts = shuffledPacks(laid);
    const spread = measureSpread(laid);
    return SPREAD_MEASURES.map((measure) => {
      const percentile = spreadPercentile(counts, measure, spread[measure]);
      return {
        ok: percentile <= most,
        says: `${spread[measure]} ${NAMES[measure]}: ${Math.round(percentile)} of 100`,
        places: [],
      };
    });
  },
  terms: ({ most }, site) => {
    const counts = shuffledPacks(site.cards);
    const allowed = (measure: SpreadMeasure): number => {
      let value = -1;
      while (value < site.view.length && spreadPercentile(counts, measure, value + 1) <= most) value++;
      return value;
    };
    return [
      ...noLonger(site, 'colour', allowed('colourRun')),
      ...noLonger(site, 'suit', allowed('suitRun')),
      ...noMore(site, relationTable(site.faces, 'like rank'), allowed('likeRanks')),
      ...noMore(site, tableOf(site.faces, 'in sequence', inSequence), allowed('sequences')),
    ];
  },
};

const inSequence = (a: number, b: number): boolean => {
  const gap = Math.abs(rankAt(a) - rankAt(b));
  return rankAt(a) > 0 && rankAt(b) > 0 && (gap === 1 || gap === 12);
};

/** A pack has always one card of a colour in a row. */
const noLonger = (site: Site, by: 'colour' | 'suit', most: number): readonly Term[] => {
  if (most < 1) return [never('Even one card of a colour in a row is odder than that.')];
  const values = VALUES[by].map((value) => facesWhere(site.faces, (look) => valueAt(by, look) === value));
  return rows(site, {}, most + 1).map((row) =>
    onPlaces(site, row, (places) => notAllAlike(places, values, by)),
  );
};

const noMore = (site: Site, table: Parameters<typeof fewPairs>[1], most: number): readonly Term[] => {
  if (most < 0) return [never('Even no such neighbours are odder than that.')];
  const pairs = rows(site, {}, 2).map(([a, b]) => [site.view[a], site.view[b]] as const);
  return [fewPairs(pairs, table, most)];
};
