import { randomInt, Rng, seededRng } from '../../deck/rng';
import { FULL, randomPack, randomWish } from '../../../test/randomWish';
import { laidOf } from '../checkWish';
import { compile } from './compile';
import { Exchanges } from './exchanges';
import { facesOf } from './faces';
import { lightestFirst } from './lightestFirst';
import { Network } from './network';
import { someLaying } from './someLaying';

/** Every laying of faces by place that domains allow, as many copies of each as there are. */
const layings = (network: Network): readonly (readonly number[])[] => {
  const { domains, faces } = network;
  const left = [...faces.copies];
  const at: number[] = [];
  const all: number[][] = [];
  const lay = (): void => {
    if (at.length === domains.size) {
      all.push([...at]);
      return;
    }
    for (let face = 0; face < domains.count; face++) {
      if (left[face] === 0 || !domains.may(at.length, face)) continue;
      left[face]--;
      at.push(face);
      lay();
      at.pop();
      left[face]++;
    }
  };
  lay();
  return all;
};

/** Takes faces away from places by chance. */
const barred = (network: Network, rng: Rng): boolean => {
  const { domains } = network;
  for (let time = 0; time < domains.size * 2; time++)
    if (!domains.exclude(randomInt(rng, domains.size), randomInt(rng, domains.count))) return false;
  return true;
};

test('counting leaves just what lies somewhere in some laying, copies too; and what is undone is as before', () => {
  const rng = seededRng(4);
  let impossible = 0;
  for (let time = 0; time < 400; time++) {
    const network = new Network(facesOf(laidOf(randomPack(rng, 4 + (time % 4)))), []);
    network.begin();
    const { domains } = network;
    const before = domains.words.slice();
    const mark = domains.mark();
    const left = barred(network, rng);
    const all = left ? layings(network) : [];
    const goesOn = left && network.narrow();
    expect(goesOn).toBe(all.length > 0);
    if (!goesOn) impossible++;
    else
      for (let place = 0; place < domains.size; place++)
        for (let face = 0; face < domains.count; face++)
          expect(domains.may(place, face)).toBe(all.some((at) => at[place] === face));
    domains.undo(mark);
    expect(domains.words).toEqual(before);
  }
  expect(impossible).toBeGreaterThan(20);
});

test('places by face are kept in step with faces by place', () => {
  const rng = seededRng(11);
  for (let time = 0; time < 60; time++) {
    const network = new Network(facesOf(laidOf(time % 2 === 0 ? FULL : randomPack(rng, 8))), []);
    network.begin();
    if (!barred(network, rng) || !network.narrow()) continue;
    const { domains } = network;
    for (let face = 0; face < domains.count; face++) {
      const places = Array.from({ length: domains.size }, (_, place) => place).filter((place) =>
        domains.may(place, face),
      );
      expect(domains.sizeOf(face)).toBe(places.length);
      const isThere = (place: number): boolean =>
        (((place < 32 ? domains.placesLow(face) : domains.placesHigh(face)) >>> (place & 31)) & 1) === 1;
      expect(places.every(isThere)).toBe(true);
    }
  }
});

test('a laying by chance keeps to the domains, lays each card once, and what is wanted where it can', () => {
  const rng = seededRng(6);
  for (let time = 0; time < 300; time++) {
    const network = new Network(facesOf(laidOf(randomPack(rng, 6))), []);
    network.begin();
    if (!barred(network, rng) || !network.narrow()) continue;
    const { domains, faces } = network;
    const at = someLaying(domains, rng);
    if (!at) throw new Error('none');
    expect([...at].every((face, place) => domains.may(place, face))).toBe(true);
    faces.copies.forEach((copies, face) =>
      expect([...at].filter((each) => each === face)).toHaveLength(copies),
    );
    expect(someLaying(domains, rng, at)).toEqual(at);
  }
});

test('exchanges know what is broken, and keep to what may lie where', () => {
  const rng = seededRng(9);
  for (let time = 0; time < 40; time++) {
    const pack = time % 2 === 0 ? FULL : randomPack(rng, 8);
    const cards = laidOf(pack);
    const faces = facesOf(cards);
    const terms = [0, 1, 2].flatMap(() => compile(randomWish(rng, pack, 1), faces, cards));
    const network = new Network(faces, terms);
    const begin = network.begin() ? someLaying(network.domains, rng) : undefined;
    if (!begin) continue;
    const may = (place: number, face: number): boolean => network.domains.may(place, face);
    const exchanges = new Exchanges(faces, terms, may, begin, rng);
    exchanges.run(3000);
    const at = exchanges.best;
    const where = new Uint8Array(faces.looks.length);
    at.forEach((face, place) => (where[face] = place));
    const broken = terms.reduce((sum, term) => sum + term.broken({ at, where }), 0);
    expect(exchanges.bestBroken).toBeCloseTo(broken, 9);
    expect([...at].every((face, place) => may(place, face))).toBe(true);
    expect([...at].sort()).toEqual([...begin].sort());
  }
});

test('all sets of weights, each once, the lightest first', () => {
  const rng = seededRng(3);
  for (let time = 0; time < 50; time++) {
    const weights = Array.from({ length: randomInt(rng, 8) }, () => 0.5 + randomInt(rng, 5));
    const sets = [...lightestFirst(weights)];
    expect(new Set(sets.map((set) => [...set].sort().join(' '))).size).toBe(2 ** weights.length);
    const weighed = sets.map((set) => set.reduce((sum, index) => sum + weights[index], 0));
    expect(weighed).toEqual([...weighed].sort((a, b) => a - b));
  }
});
