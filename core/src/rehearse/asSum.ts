import { showRank } from '../deck/notation';
import { Rank } from '../deck/card';
import { INDIFFERENT } from '../procedure/packets';
import { seededRng } from '../deck/rng';
import { saidCards, saidNumber } from '../learn/said';
import { Inputs, Range, Sum, SumKind, SumPack } from '../learn/sums/sum';
import { SUM_KINDS } from '../learn/sums/kinds';
import { answersTo, Asked, Drawn, drawWorld, whyNoPattern } from './asPattern';
import { sayCard } from './sayCard';
import { answering, instrument } from './watched';

/** What a sum is made from: a seed in two numbers. */
const SEEDS: readonly Range[] = [
  [0, 200],
  [0, 200],
];
/** So many worlds are drawn to see whether it can be asked of a pack. */
const TRIES = 12;
/** The longest name of a kind, as it is kept. */
const LONGEST = 40;

const worldOf = (asked: Asked, { home }: SumPack, [a, b]: Inputs): Drawn | undefined =>
  drawWorld(asked, { home, now: home }, seededRng(201 * a + b + 1));

/** What was seen, in the order in which it is. */
const shownOf = ({ told, sights }: Drawn): string =>
  sights
    .flatMap(({ field }) => {
      const value = told[field.name];
      if (typeof value !== 'number') return [];
      if (field.kind === 'card') return [sayCard(value)];
      return [field.kind === 'rank' ? showRank(value as Rank) : value.toString()];
    })
    .join(', ');

const sumOf = (asked: Asked, pack: SumPack, inputs: Inputs): Sum | undefined => {
  const drawn = worldOf(asked, pack, inputs);
  if (!drawn?.answer) return undefined;
  const { finding, value } = drawn.answer;
  // Below zero nothing can be typed.
  if (finding.kind === 'number' && value < 0) return undefined;
  if (finding.kind === 'card' && value === INDIFFERENT) return undefined;
  // A way may be gone in secret: what was seen must leave one answer.
  if (answersTo(asked, drawn.told, { home: pack.home, now: pack.home })?.size !== 1) return undefined;
  return {
    shown: shownOf(drawn),
    truth: finding.kind === 'card' ? saidCards(value) : saidNumber(value),
    lines: drawn.lines,
  };
};

/**
 * A procedure as a kind of sum: what its performer sees is shown, what they find is asked.
 *
 * @param asked with a procedure that `readProcedure` found right. @param way the address of its pattern.
 * @returns undefined where nothing can be asked of it.
 */
export const sumKindOf = (asked: Asked, way: string): SumKind | undefined => {
  const { procedure } = asked;
  if (whyNoPattern(procedure)) return undefined;
  const { sights, findings } = instrument(procedure);
  const finding = answering(findings, asked.answer);
  if (!finding) return undefined;
  const name = procedure.name.slice(0, LONGEST - 8);
  return {
    name: SUM_KINDS.some((kind) => kind.name === name) ? `${name} (yours)` : name,
    asks: `${sights.map(({ field }) => field.label).join(', ')}: {shown}. What is the ${finding.words}?`,
    answer: finding.kind === 'card' ? 'card' : 'number',
    way,
    ranges: (pack) =>
      Array.from({ length: TRIES }, (_, seed) => seed).some((seed) => sumOf(asked, pack, [seed, 7]))
        ? SEEDS
        : undefined,
    make: (pack, inputs) => {
      const sum = sumOf(asked, pack, inputs);
      const isCard = sum?.truth.kind === 'cards';
      return sum && isCard === (finding.kind === 'card') ? sum : undefined;
    },
  };
};
