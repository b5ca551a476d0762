import { seededRng, shuffled } from '../../deck/rng';
import { FULL, KINDS, randomPack, randomWish } from '../../../test/randomWish';
import { checkWish, laidOf } from '../checkWish';
import { lookOf } from '../look';
import { Wish } from '../wish';
import { WISHES } from '../wishes';
import { compile } from './compile';
import { facesOf } from './faces';
import { Network } from './network';
import { Laying } from './term';

/** Whether nothing of a wish is broken in an order, as the search sees it. */
const layingFor = (order: readonly string[], pack: readonly string[]): Laying => {
  const faces = facesOf(laidOf(pack));
  const at = Uint8Array.from(laidOf(order), (card) => faces.byLook[lookOf(card)]);
  const where = new Uint8Array(faces.looks.length);
  at.forEach((face, place) => (where[face] = place));
  return { at, where };
};

const seen = (
  order: readonly string[],
  pack: readonly string[],
  wish: Wish,
): { broken: boolean; barred: boolean } => {
  const cards = laidOf(pack);
  const faces = facesOf(cards);
  const terms = compile(wish, faces, cards);
  const laying = layingFor(order, pack);
  const broken = terms.some((term) => term.broken(laying) > 0);
  // What the terms take away is no order that they find right.
  const network = new Network(faces, terms);
  const left = network.begin();
  const barred = !left || laying.at.some((face, place) => !network.domains.may(place, face));
  return { broken, barred };
};

/** What holds a proof or 20,000 shuffled packs for each. */
const SLOW: readonly string[] = ['procedure', 'looks shuffled', 'at cuts', 'after', 'some of'];

test('every kind of wish is drawn', () => {
  expect([...KINDS].sort()).toEqual(Object.keys(WISHES).sort());
});

test.each(KINDS)('%s: the search sees what the words say, and takes away no order that is right', (kind) => {
  const rng = seededRng(kind.length * 7 + kind.charCodeAt(0));
  let held = 0;
  for (let time = 0; time < (SLOW.includes(kind) ? 60 : 400); time++) {
    const pack = randomPack(rng, 4 + (time % 5));
    const wish = randomWish(rng, pack, 2, kind);
    for (let again = 0; again < 4; again++) {
      const order = shuffled(pack, rng);
      const { holds } = checkWish(order, wish);
      const { broken, barred } = seen(order, pack, wish);
      if (broken === holds || (holds && barred))
        throw new Error(
          `${String(holds)} ${String(broken)} ${String(barred)} ${order.join(' ')} ${JSON.stringify(wish)}`,
        );
      if (holds) held++;
    }
  }
  expect(kind === 'by rule' ? 1 : held).toBeGreaterThan(0);
});

test('rules: every order that a rule makes is seen so, and one exchange breaks it', () => {
  const suits = ['C', 'H', 'S', 'D'];
  const RANKS = 'A23456789TJQK';
  const row = shuffled([...RANKS], seededRng(3));
  const mate = (card: string): string => card[0] + 'SHDC'['CDHS'.indexOf(card[1])];
  const half = FULL.slice(0, 26);
  const rules = {
    rotating: Array.from({ length: 52 }, (_, index) => RANKS[(4 + index * 5) % 13] + suits[index % 4]),
    'rank row': Array.from({ length: 52 }, (_, index) => row[index % 13] + suits[index % 4]),
    'mirrored halves': [...half, ...half.map(mate)],
    palindrome: [...half, ...half.map(mate).reverse()],
  } as const;
  for (const [rule, order] of Object.entries(rules)) {
    const wish = { kind: 'by rule', rule } as Wish;
    expect(checkWish(order, wish).holds).toBe(true);
    expect(seen(order, FULL, wish)).toEqual({ broken: false, barred: false });
    const other = [...order];
    [other[10], other[30]] = [other[30], other[10]];
    expect(checkWish(other, wish).holds).toBe(false);
    expect(seen(other, FULL, wish).broken).toBe(true);
  }
});
