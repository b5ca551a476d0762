import { numberOrder } from '../deck/order';
import { STEPS } from '../procedure/steps';
import { inItsVersion } from '../procedure/version';
import { Step } from '../procedure/procedure';
import { insertSteps } from './editSteps';
import { newProcedure } from './newProcedure';
import { GROUPS, offersFor, PALETTE, surroundings } from './palette';
import { prove, hasChance } from './prove';
import { readProcedure } from './readProcedure';
import { sayStep } from './sentence';
import { TRADE_WORDS } from './tradeWords';

const empty = newProcedure('New', numberOrder());
/** With something seen and something chosen, so that there is something to name. */
const begun = {
  ...empty,
  steps: [
    { do: 'choose', name: 'cut', from: 1, to: 5 },
    { do: 'see', what: { 'top of': 'pack' }, name: 'seen' },
  ] as readonly Step[],
};

test.each(PALETTE.map((offered) => [offered.words, offered] as const))(
  '“%s” adds steps that can be read',
  (_, offered) => {
    const steps = insertSteps(begun.steps, [3], offered.make(surroundings(begun, [3])));
    // What is by the performer and uses what the helper chose is the performer's to mend.
    const read = readProcedure(inItsVersion({ ...begun, steps }));
    const wheres = read.ok ? [] : read.problems.map(({ what }) => what);
    expect(wheres.filter((what) => !what.startsWith('The performer does not know'))).toEqual([]);
    const alone = readProcedure(inItsVersion({ ...empty, steps: offered.make(surroundings(empty, [1])) }));
    if (alone.ok && !hasChance(alone.procedure)) expect(prove(alone.procedure).complete).toBe(true);
  },
);

test('every kind of step has a beginning, and every group some', () => {
  const around = surroundings(begun, [3]);
  const made = new Set(PALETTE.flatMap((offered) => offered.make(around).map((step) => step.do)));
  expect(Object.keys(STEPS).filter((kind) => !made.has(kind as Step['do']))).toEqual([]);
  expect(GROUPS.filter((group) => !PALETTE.some((offered) => offered.group === group))).toEqual([]);
});

test.each([
  ['they cut', 'they cut off a packet'],
  ['lift', 'they lift cards'],
  ['I see the face', 'I see the face card'],
  ['you see f', 'I see the face card'],
  ['it must', 'it must be so that'],
  ['deal ro', 'they deal round into heaps'],
  ['turn ov', 'they turn a packet over'],
])('“%s” offers “%s” first', (typed, first) => {
  expect(offersFor(typed).at(0)?.words).toBe(first);
});

test.each(Object.entries(TRADE_WORDS))(
  '“%s” is a word of the trade, and leads to its steps',
  (word, sentences) => {
    const offered = offersFor(word).map(({ words }) => words);
    for (const sentence of sentences) {
      expect(PALETTE.map(({ words }) => words)).toContain(sentence);
      expect(offered).toContain(sentence);
    }
  },
);

test('words beside one of the trade narrow what it means', () => {
  expect(Object.keys(TRADE_WORDS).length).toBeGreaterThanOrEqual(30);
  expect(offersFor('glimpse').at(0)?.words).toBe('I see the face card');
  expect(offersFor('I glimpse the top').at(0)?.words).toBe('I see the top card');
  expect(offersFor('they swap').at(0)?.words).toBe('they let two packets change places');
});

test('nonsense offers nothing, and nothing typed everything', () => {
  expect(offersFor('xyzzy')).toEqual([]);
  expect(offersFor(' ')).toHaveLength(PALETTE.length);
});

test('a new step takes up what there is: the latest name, and one that is not used yet', () => {
  const cut = (steps: readonly Step[], path: readonly number[]): readonly string[] =>
    offersFor('they cut off')[0]
      .make(surroundings({ ...empty, steps }, path))
      .map(sayStep);
  expect(cut([], [1])).toEqual([
    'they choose cut, from 1 to the size of pack − 1',
    'they lift cut cards from pack onto hand',
  ]);
  expect(cut(begun.steps, [3])[0]).toBe('they choose second cut, from 1 to the size of pack − 1');
  const [work] = offersFor('I work out a stack').map((offered) =>
    offered.make(surroundings(begun, [3])).map(sayStep),
  );
  expect(work).toEqual(['you work out stack number: the stack number of seen in home']);
  // Nothing that comes later is taken up.
  expect(surroundings(begun, [1])).toMatchObject({ number: 1, card: { card: 'AC' } });
});
