import { randomInt, Rng } from '../src/deck/rng';

type Json = Record<string, unknown>;
interface Named {
  readonly name: string;
  readonly kind: 'number' | 'card';
  readonly known: boolean;
}

const PACKETS = ['pack', 'hand', 'table', 'second'];
const CARDS = ['AC', '7D', 'QH', 'KS', '2S', 'X1', '7D*', '-'];

/**
 * A random procedure of a version of the language, of every kind of step and expression: mostly one that can be run, with few enough worlds to run
 * them all one by one. Names are used where they are given, and now and then where they are not.
 */
export const randomProcedure = (rng: Rng, version: 1 | 2 = 1): Json => {
  const later = version === 2;
  const pick = <Item>(items: readonly Item[]): Item => items[randomInt(rng, items.length)];
  const often = (chance: number): boolean => rng() < chance;
  const packet = (): string => (often(0.6) ? 'pack' : pick(PACKETS));
  const other = (than: string): string => pick(PACKETS.filter((name) => name !== than));
  let given = 0;

  /** *These* cards: an order, or a few. */
  const these = (names: readonly Named[], depth: number, looks: boolean): unknown =>
    often(0.3) ? 'home' : Array.from({ length: 1 + randomInt(rng, 3) }, () => card(names, depth - 1, looks));
  const towards = (): string => pick(['face', 'top']);

  const number = (names: readonly Named[], depth: number, looks: boolean): unknown => {
    const named = names.filter(({ kind }) => kind === 'number');
    if (named.length > 0 && often(0.45)) return pick(named).name;
    if (depth === 0 || often(0.4)) return randomInt(rng, 7) - (often(0.1) ? 3 : 0);
    const n = (): unknown => number(names, depth - 1, looks);
    const c = (): unknown => card(names, depth - 1, looks);
    const forms: (() => Json)[] = [
      () => ({ 'size of': packet() }),
      () => ({ sum: [n(), n(), ...(often(0.3) ? [n()] : [])] }),
      () => ({ difference: [n(), n()] }),
      () => ({ product: [n(), n()] }),
      () => ({ remainder: [n(), n()] }),
      () => ({ around: [n(), n()] }),
      () => ({ 'digit sum': n() }),
      () => ({ least: [n(), n()] }),
      () => ({ most: [n(), n(), n()] }),
      () => ({ 'rank of': c() }),
      () => ({ 'suit of': c() }),
      () => ({ 'colour of': c() }),
      () => ({ 'stack number of': c(), in: 'home' }),
      ...(looks ? [() => ({ 'place of': c(), in: packet() }), () => ({ 'face up in': packet() })] : []),
      ...(later ? [() => ({ whether: condition(names, depth - 1, looks) })] : []),
      ...(later && looks
        ? [
            () => ({ 'how many of': these(names, depth, looks), in: packet() }),
            () => ({ 'mates together in': packet() }),
          ]
        : []),
    ];
    return pick(forms)();
  };
  const card = (names: readonly Named[], depth: number, looks: boolean): unknown => {
    const named = names.filter(({ kind }) => kind === 'card');
    if (named.length > 0 && often(0.5)) return pick(named).name;
    if (depth === 0) return { card: pick(CARDS.filter((each) => each !== '-')) };
    const forms: (() => Json)[] = [
      () => ({ card: pick(CARDS.filter((each) => each !== '-')) }),
      () => ({ 'mate of': card(names, depth - 1, looks) }),
      () => ({ 'rank from': card(names, depth - 1, looks), 'suit from': card(names, depth - 1, looks) }),
      () => ({ 'card with stack number': number(names, depth - 1, looks), in: 'home' }),
      ...(looks
        ? [
            () => {
              const of = packet();
              return { 'card at': { around: [number(names, depth - 1, looks), { 'size of': of }] }, of };
            },
            () => ({ 'top of': packet() }),
            () => ({ 'face of': packet() }),
          ]
        : []),
      ...(later && looks
        ? [
            () => ({ 'first of': these(names, depth, looks), 'not in': packet() }),
            () => ({ 'first among': these(names, depth, looks), in: packet(), towards: towards() }),
            () => ({
              ...{ 'next after': card(names, depth - 1, looks), in: packet(), towards: towards() },
              ...(often(0.5) ? { among: these(names, depth, looks) } : {}),
            }),
          ]
        : []),
    ];
    return pick(forms)();
  };
  const condition = (names: readonly Named[], depth: number, looks: boolean): Json => {
    const n = (): unknown => number(names, 1, looks);
    const forms: (() => Json)[] = [
      () => ({ less: [n(), n()] }),
      () => ({ 'at most': [n(), n()] }),
      () => ({ equal: [n(), n()] }),
      () => ({ equal: [card(names, 1, looks), card(names, 1, looks)] }),
      ...(looks ? [() => ({ 'face up': n(), of: packet() })] : []),
      ...(depth > 0
        ? [
            () => ({ not: condition(names, depth - 1, looks) }),
            () => ({ all: [condition(names, depth - 1, looks), condition(names, depth - 1, looks)] }),
            () => ({ any: [condition(names, depth - 1, looks), condition(names, depth - 1, looks)] }),
          ]
        : []),
    ];
    return pick(forms)();
  };
  const felt = (mine: boolean): Json => (later && mine && often(0.3) ? { felt: true } : {});
  const clearing = (): Json => (often(0.5) ? { steps: [{ do: 'cut', packet: 'pack', count: 1 }] } : {});
  let mixes = later ? 2 : 1;
  const likely = (): Json =>
    often(0.5)
      ? {}
      : often(0.5)
        ? { likely: { around: 2, within: 1.5 } }
        : { likely: { table: { 1: 3, 2: often(0.5) ? 0 : 1, 3: 2 } } };

  /** Steps, and the names that are given after them. */
  const steps = (
    before: readonly Named[],
    count: number,
    depth: number,
    choices: number,
  ): { readonly steps: Json[]; readonly names: readonly Named[] } => {
    let names = before;
    let left = choices;
    const made: Json[] = [];
    const give = (kind: Named['kind'], known: boolean): string => {
      const again = names.filter((each) => each.kind === kind && each.known === known);
      if (again.length > 0 && often(0.25)) return pick(again).name;
      const name = `n${given++}`;
      names = [...names, { name, kind, known }];
      return name;
    };
    for (let step = 0; step < count; step++) {
      const by = often(0.6) ? 'helper' : 'performer';
      const mine = by === 'performer';
      const usable = mine && !often(0.02) ? names.filter(({ known }) => known) : names;
      const n = (): unknown => number(usable, 1, !mine);
      const from = packet();
      // Mostly what can be done, so that worlds come to their end.
      const count = (): unknown =>
        // A number by its name alone, and what is lifted turned over at once, are done by the kernel in ways of their own.
        often(0.2) ? 'first' : often(0.9) ? { remainder: [n(), { sum: [{ 'size of': from }, 1] }] } : n();
      const place = (of: string): unknown => (often(0.9) ? { around: [n(), { 'size of': of }] } : n());
      const kinds: (() => Json)[] = [
        () => ({ do: 'cut', by, packet: from, count: count(), ...felt(mine) }),
        () => ({ do: 'lift', by, count: count(), from, onto: other(from), ...felt(mine) }),
        () => ({ do: 'deal', by, count: count(), from, onto: other(from) }),
        () => ({
          ...{ do: 'deal round', by, from, onto: PACKETS.filter((name) => name !== from && often(0.7)) },
          ...(often(0.5) ? { count: count() } : {}),
        }),
        () => ({ do: 'put', by, packet: other(from), where: pick(['on', 'under']), other: from }),
        () => ({ do: 'turn', by, packet: from }),
        () => ({ do: 'turn card', by, packet: from, place: place(from) }),
        () => ({ do: 'take', by, place: place(from), from, onto: other(from), ...felt(mine) }),
        () => ({ do: 'insert', by, packet: other(from), into: from, place: place(from), ...felt(mine) }),
        ...(later
          ? [() => ({ do: 'take', by, card: card(usable, 1, !mine), from, onto: other(from) })]
          : [() => ({ do: 'turn', by, packet: from, felt: true })]),
        () => ({ do: pick(['weave', 'unweave']), by, packet: from, kind: pick(['in', 'out']) }),
        () => {
          const isCard = often(0.6);
          const what = isCard ? card(names, 1, true) : number(names, 1, true);
          return { do: 'see', by, what, name: give(isCard ? 'card' : 'number', mine) };
        },
        () => {
          const what = number(usable, 2, !mine);
          return { do: 'work out', by, what, name: give('number', mine) };
        },
        () => ({
          do: 'require',
          that: { not: { all: [condition(names, 0, true), condition(names, 0, true)] } },
        }),
        () => {
          const that = condition(names, 1, true);
          return { do: 'claim', that: often(0.5) ? that : { any: [that, { less: [0, 1] }] } };
        },
        () => ({ do: 'claim known', what: often(0.5) ? card(names, 1, true) : number(names, 1, true) }),
        () => {
          if (mixes === 0) return { do: 'turn', by, packet: from };
          mixes--;
          return {
            ...{ do: 'mix', by, packet: often(0.8) ? pick(['hand', 'table', 'second']) : from },
            ...(often(0.2) ? { times: randomInt(rng, 3) } : {}),
            ...(often(0.3) ? { 'keep top': randomInt(rng, 2) } : {}),
            ...(often(0.3) ? { 'keep face': randomInt(rng, 2) } : {}),
          };
        },
        () => {
          if (left === 0) return { do: 'turn', by, packet: from };
          left--;
          if (often(0.2)) {
            const uncounted = { do: 'choose', name: give('number', !later), by: 'performer', from: 0, to: 2 };
            return { ...uncounted, uncounted: true };
          }
          const told = often(0.4);
          const low = often(0.8) ? randomInt(rng, 3) : number(names, 0, true);
          const to = often(0.8)
            ? randomInt(rng, 3) + (typeof low === 'number' ? low : 1)
            : { 'size of': packet() };
          return { do: 'choose', name: give('number', told), from: low, to, told, ...likely() };
        },
      ];
      if (depth > 0)
        kinds.push(
          () => {
            const then = steps(names, 1 + randomInt(rng, 2), depth - 1, left);
            const otherwise = often(0.5) ? steps(names, 1 + randomInt(rng, 2), depth - 1, left) : undefined;
            left = Math.max(0, left - 1);
            const out = often(0.2) ? [{ do: 'out', words: 'another way', ...clearing() }] : [];
            return {
              ...{ do: 'if', by, that: condition(usable, 1, !mine), then: [...then.steps, ...out] },
              ...(otherwise ? { otherwise: otherwise.steps } : {}),
            };
          },
          () => {
            if (left === 0) return { do: 'turn', by, packet: from };
            left--;
            const name = `n${given++}`;
            const inside = [...names, { name, kind: 'number' as const, known: false }];
            const of = Array.from({ length: 1 + randomInt(rng, 3) }, () => ({
              words: 'so',
              steps: steps(inside, randomInt(rng, 3), depth - 1, left).steps,
            }));
            names = inside;
            return { do: 'choose one', name, of, ...likely() };
          },
          () => ({
            ...{ do: 'repeat', by },
            ...(often(0.6)
              ? { times: often(0.5) ? randomInt(rng, 3) : n() }
              : { while: condition(usable, 0, !mine), most: 1 + randomInt(rng, 4) }),
            steps: steps(names, 1 + randomInt(rng, 2), depth - 1, Math.min(left, 1)).steps,
          }),
        );
      const next = pick(kinds)();
      made.push(next);
      if (next['do'] === 'lift' && often(0.4)) made.push({ do: 'turn', by, packet: next['onto'] });
    }
    return { steps: made, names };
  };

  const cards = (most = 5): unknown[] =>
    Array.from({ length: 2 + randomInt(rng, most) }, () =>
      often(0.05) ? { indifferent: { sum: ['few', 1] } } : pick(CARDS),
    );
  return {
    ...{ name: 'at random', version },
    givens: { few: randomInt(rng, 3) },
    packets: {
      ...{ pack: [...cards(), ...cards()], hand: cards(3), table: cards(3) },
      ...(often(0.5) ? { second: cards(2) } : {}),
    },
    orders: { home: ['QH', 'AC', '7D', 'KS', '2S', '-'] },
    steps: [
      { do: 'choose', name: 'first', from: 1, to: 3, told: true, ...likely() },
      ...steps(
        [
          { name: 'few', kind: 'number', known: true },
          { name: 'first', kind: 'number', known: true },
        ],
        ...([4 + randomInt(rng, 6), 2, 3] as const),
      ).steps,
    ],
  };
};
