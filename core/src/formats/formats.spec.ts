import fc from 'fast-check';
import { numberOrder } from '../deck/order';
import { parseOrder, parsePart } from '../deck/orderText';
import { seededRng, shuffled } from '../deck/rng';
import { makeOrderJson, parseOrderJson } from './orderJson';
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
      expect(parseOrderJson(JSON.parse(makeOrderJson({ name, order })))).toEqual({ ok: true, name, order });
    }),
  );
});

test.each([
  ['null', 'not an order from Enumeron'],
  ['{"format":"enumeron-order","version":2}', 'Version 2'],
  ['{"format":"enumeron-order","version":1,"name":5}', 'name or the cards'],
  ['{"format":"enumeron-order","version":1,"name":"A","cards":"AC 11H"}', '“11H” is not a card'],
])('a wrong file %s is told what is wrong', (text, message) => {
  const outcome = parseOrderJson(JSON.parse(text));
  expect(outcome.ok ? '' : outcome.problems[0].what).toContain(message);
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

test('duplicates and jokers go through every layout, and each suit has its own tint in the picture', () => {
  const order = [52, 0, 54, 13, 26, 39, 53];
  for (const layout of ORDER_LAYOUTS) expect(parsePart(layOut(order, layout))).toEqual({ ok: true, order });
  const tints = [...makeStripSvg('Odd', order).matchAll(/fill="([^"]+)"/g)].map(([, tint]) => tint);
  expect(tints[1]).toBe(tints[2]);
  expect(tints[0]).toBe(tints[6]);
  expect(new Set(tints).size).toBe(5);
});

test('a strip of no cards is a picture of nothing', () => {
  expect(makeStripSvg('Nothing', [])).toContain('width="0"');
});
