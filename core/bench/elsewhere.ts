import { completeValues, numberOrder, oddsCurve, QUESTIONS, Values } from '../src/index';
import { patternOf } from '../src/rehearse/asPattern';
import { busyRow } from '../src/rehearse/busyRow';
import { gatherings } from '../src/rehearse/gather';
import { WORKED } from '../src/rehearse/worked/worked';
import { parseCard } from '../src/deck/notation';
import { processorTime } from './processorTime';

/** The largest pack and the widest range of each question: what its curve takes longest for. */
const LARGEST: Values = {
  size: 104,
  bank: 20,
  cuts: 60,
  people: 12,
  kinds: 27,
  each: 4,
  first: 13,
  second: 13,
};

const worst = (name: string, runs: readonly (readonly [string, () => unknown])[]): void => {
  const times = runs.map(([what, run]) => {
    run();
    const start = processorTime();
    run();
    return [what, processorTime() - start] as const;
  });
  const sorted = [...times].sort(([, a], [, b]) => b - a);
  const [[what, slowest]] = sorted;
  const median = sorted[Math.floor(sorted.length / 2)][1];
  console.log(
    `${name.padEnd(52)} median ${median.toFixed(2)} ms, worst ${slowest.toFixed(1)} ms, of ${what}, ${times.length} runs`,
  );
};

/** What odds, patterns that were sent, busy rows and gatherings take: each answers while one types. */
export const benchElsewhere = (): void => {
  worst(
    'a curve of exact chances, as it opens',
    QUESTIONS.map((question) => [
      question.path,
      () => oddsCurve(question.path, completeValues(question, {})),
    ]),
  );
  worst(
    'a curve of exact chances, the largest pack',
    QUESTIONS.map((question) => [
      question.path,
      () => oddsCurve(question.path, { ...completeValues(question, {}), ...LARGEST }),
    ]),
  );
  worst(
    'an answer of a procedure sent to Reckon',
    WORKED.flatMap(({ procedure }) => {
      const outcome = patternOf({ procedure }, 'sent');
      if (!outcome.ok) return [];
      const cards = (procedure.packets?.['pack'] ?? []).flatMap((card) =>
        typeof card === 'string' ? (parseCard(card) ?? []) : [],
      );
      const home = cards.length === 52 ? cards : numberOrder();
      const pack = { home, now: home, bank: undefined, shift: 5, estimates: [] };
      const told = outcome.pattern.example?.(pack) ?? {};
      return [[procedure.name, () => outcome.pattern.reckon(told, pack)] as const];
    }),
  );
  const heaps = [3, 5, 2, 6].map((depth) => ({ cards: 13, wanted: [depth] }));
  worst(
    'a busy row of 24 to 120 moves',
    [24, 40, 60, 120].flatMap((moves) =>
      [1, 2, 3, 4, 5].map((seed) => [`${moves} moves`, () => busyRow({ heaps, moves, seed })] as const),
    ),
  );
  worst(
    'all ways to gather packets',
    [2, 3, 4, 5, 6].map((count) => [`${count} packets`, () => gatherings(count)]),
  );
};
