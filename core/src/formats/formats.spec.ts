import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { parseOrder } from '../deck/orderText';
import { seededRng, shuffled } from '../deck/rng';
import { lineAndColumn, makeOrderJson, parseOrderJson } from './orderJson';
import { layOut, ORDER_LAYOUTS } from './orderLayouts';
import { makeStripSvg } from './stripSvg';

const anyOrder = fc.tuple(fc.integer(), fc.boolean()).map(([seed, jokers]) => {
  const pack = jokers ? [...numberOrder(), 52, 53] : numberOrder();
  return shuffled(pack, seededRng(seed));
});

test('every layout of every order is read back', () => {
  fc.assert(
    fc.property(anyOrder, fc.constantFrom(...ORDER_LAYOUTS), (order, layout) => {
      expect(parseOrder(layOut(order, layout))).toEqual({ ok: true, order });
    }),
  );
});

test('JSON goes out and in, whatever the name', () => {
  fc.assert(
    fc.property(anyOrder, fc.string({ unit: 'grapheme' }), (order, name) => {
      expect(parseOrderJson(makeOrderJson({ name, order }))).toEqual({ ok: true, name, order });
    }),
  );
});

test.each([
  ['{\n  "format": oops', 'not JSON'],
  ['null', 'no order of Enumeron'],
  ['{"format":"enumeron-order","version":2}', 'Version 2'],
  ['{"format":"enumeron-order","version":1,"name":5}', 'name or the cards'],
  ['{"format":"enumeron-order","version":1,"name":"A","cards":"AC 11H"}', '“11H” is not a card'],
])('a wrong file %s is told what is wrong', (text, message) => {
  const outcome = parseOrderJson(text);
  expect(outcome.ok ? '' : outcome.problems[0].what).toContain(message);
});

test('a place in a text is told by line and column', () => {
  expect(lineAndColumn('ab\ncd', 4)).toEqual({ line: 2, column: 2 });
  expect(lineAndColumn('ab', 0)).toEqual({ line: 1, column: 1 });
});

test('a strip has a bar a card, and a name cannot break out of it', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), (name) => {
      const svg = makeStripSvg(`<script>&"'${name}`, numberOrder());
      expect(svg.match(/<rect /g)).toHaveLength(52);
      expect(svg).not.toContain('<script');
    }),
  );
});
