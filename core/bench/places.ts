import { planPlaces, PlacesWish, seededRng, shuffled } from '../src/index';

/** Of every kind of wish so many by chance, after a tenth of them to warm it up. */
const WISHES = 60;

const wish = (size: number, count: number, rng: () => number): PlacesWish['wanted'] => {
  const places = (): number[] =>
    shuffled(
      Array.from({ length: size }, (_, index) => index + 1),
      rng,
    ).slice(0, count);
  const to = places();
  return places().map((from, index) => ({ from, to: to[index] }));
};

/** How long planning takes, in milliseconds, of 52 cards. */
export const benchPlaces = (): void => {
  const rng = seededRng(9);
  for (const [count, cuts] of [
    [3, true],
    [4, true],
    [5, true],
    [3, false],
    [4, false],
  ] as const) {
    const times: number[] = [];
    for (let number = -WISHES / 10; number < WISHES; number++) {
      const asked = { size: 52, wanted: wish(52, count, rng), cuts };
      const began = performance.now();
      planPlaces(asked);
      if (number >= 0) times.push(performance.now() - began);
    }
    times.sort((a, b) => a - b);
    const name = `${count} cards to places, ${cuts ? 'with cuts' : 'weaves only'}`;
    console.log(
      `${name.padEnd(52)} median ${times[WISHES / 2].toFixed(2)} ms, worst ${times[WISHES - 1].toFixed(1)} ms`,
    );
  }
};
