import { randomInt, seededRng } from '../deck/rng';
import { GroupTable } from './groupTable';

/** The same as a map from keys to levels and sets of turns. */
class Slowly {
  private readonly groups = new Map<number, { level: number; turns: Set<number> }>();

  reach(key: number, level: number, turns: readonly number[]): boolean {
    const known = this.groups.get(key);
    if (!known) this.groups.set(key, { level, turns: new Set(turns) });
    else if (known.level === level) for (const turn of turns) known.turns.add(turn);
    return known === undefined;
  }

  at(key: number): readonly [level: number, turns: readonly number[]] | undefined {
    const known = this.groups.get(key);
    return known && [known.level, [...known.turns].sort((a, b) => a - b)];
  }
}

const wordsOf = (turns: readonly number[]): readonly [low: number, high: number] => [
  turns.filter((turn) => turn < 32).reduce((word, turn) => word | (1 << turn), 0),
  turns.filter((turn) => turn >= 32).reduce((word, turn) => word | (1 << (turn - 32)), 0),
];

const turnsOf = (low: number, high: number): readonly number[] =>
  Array.from({ length: 64 }, (_, turn) => turn).filter(
    (turn) => (((turn < 32 ? low : high) >>> (turn & 31)) & 1) === 1,
  );

test.each([
  ['few keys, met again and again', 40, 4000],
  ['many keys, so that it grows', 2 ** 24, 30_000],
  ['keys that lie close together', 3000, 20_000],
])('%s: levels and turns are those of a map', (_, keys, times) => {
  const rng = seededRng(keys);
  const [table, slowly] = [new GroupTable(), new Slowly()];
  const met = new Set<number>();
  for (let time = 0; time < times; time++) {
    const key = randomInt(rng, keys);
    // Levels only rise, as a search goes on.
    const level = Math.floor((8 * time) / times);
    const turns = Array.from({ length: 1 + randomInt(rng, 3) }, () => randomInt(rng, 64));
    const [low, high] = wordsOf(turns);
    expect(table.reach(key, level, low, high)).toBe(slowly.reach(key, level, turns));
    met.add(key);
  }
  for (const key of met) {
    const at = table.find(key);
    expect([key, [table.levelAt(at), turnsOf(table.lowAt(at), table.highAt(at))]]).toEqual([
      key,
      slowly.at(key),
    ]);
  }
  const lacking = Array.from({ length: 200 }, () => randomInt(rng, 2 ** 24)).filter((key) => !met.has(key));
  for (const key of lacking) expect(table.find(key)).toBe(-1);
});
