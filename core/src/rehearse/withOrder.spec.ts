import { parseCard } from '../deck/notation';
import { parsePart } from '../deck/orderText';
import { Order } from '../deck/order';
import { Procedure } from '../procedure/procedure';
import { verdictOf } from './verdict';
import { cardsNamed, withOrder } from './withOrder';

const order = (text: string): Order => {
  const read = parsePart(text);
  if (!read.ok) throw new Error('not an order');
  return read.order;
};

const PROCEDURE: Procedure = {
  name: 'The third is the three',
  packets: { pack: ['AC', '2C', '3C'], other: ['KH', 'QH', 'JH'], loose: ['AC', '-', '3C'] },
  orders: { home: ['AC', '2C', '3C'], court: ['KH', 'QH', 'JH'] },
  steps: [],
};

test('the order stands for packets and orders of the same cards, and for no other', () => {
  const given = withOrder(PROCEDURE, order('3C AC 2C'));
  expect(given).toEqual({
    ...PROCEDURE,
    packets: { ...PROCEDURE.packets, pack: ['3C', 'AC', '2C'] },
    orders: { ...PROCEDURE.orders, home: ['3C', 'AC', '2C'] },
  });
});

test.each(['AC 2C 4C', 'AC 2C', 'AC 2C 3C 4C', 'AC X1 3C'])(
  'a procedure without just the cards %s is left',
  (text) => {
    expect(withOrder(PROCEDURE, order(text))).toBeUndefined();
  },
);

test('a second copy is a card of its own', () => {
  const twice = { ...PROCEDURE, packets: { pack: ['7D', '7D*', '3C'] }, orders: {} };
  expect(withOrder(twice, order('7D* 3C 7D'))?.packets?.['pack']).toEqual(['7D*', '3C', '7D']);
  expect(withOrder(twice, order('7D 3C 2C'))).toBeUndefined();
});

test('a procedure that names an order only is tried with it, and one without packets or orders is none', () => {
  const named = { name: '', orders: { home: ['AC', '2C', '3C'] }, steps: [] };
  expect(withOrder(named, order('2C 3C AC'))).toEqual({ ...named, orders: { home: ['2C', '3C', 'AC'] } });
  expect(withOrder({ name: '', steps: [] }, order('2C 3C AC'))).toBeUndefined();
});

test('it holds or not as the order has it', () => {
  const claim: Procedure = {
    name: 'Mates two apart',
    packets: { pack: ['AC', '2C', 'AS', '2S'] },
    steps: [
      { do: 'choose', name: 'n', from: 1, to: 2 },
      {
        do: 'claim',
        that: {
          equal: [
            { 'card at': 'n', of: 'pack' },
            { 'mate of': { 'card at': { sum: ['n', 2] }, of: 'pack' } },
          ],
        },
      },
    ],
  };
  const isRead = verdictOf(claim).kind !== 'wrong';
  const held = (text: string): number | undefined => {
    const given = withOrder(claim, order(text));
    const verdict = given && verdictOf(given);
    return verdict?.kind === 'proved' ? verdict.counts.held : undefined;
  };
  expect(isRead).toBe(true);
  expect([held('AC 2C AS 2S'), held('2S AC 2C AS'), held('AC AS 2C 2S')]).toEqual([2, 2, 0]);
});

test('the cards that steps name themselves are told, each once, however deep they stand', () => {
  const seven = { card: '7D' };
  const steps = [
    { do: 'see', name: 'a', what: seven },
    {
      do: 'if',
      that: { equal: ['a', seven] },
      then: [{ do: 'take', card: { card: 'KH' }, from: 'pack', onto: 'hand' }],
    },
    { do: 'see', name: 'blank', what: { card: '-' } },
  ] as Procedure['steps'];
  expect(cardsNamed({ name: '', steps })).toEqual([parseCard('7D'), parseCard('KH')]);
  expect(cardsNamed(PROCEDURE)).toEqual([]);
});
