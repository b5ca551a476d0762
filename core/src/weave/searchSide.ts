/** Not reached. */
export const FAR = 0x7fff_ffff;

/** The numbers of groups by their keys; −1 where one was not reached. */
interface Numbers {
  get(key: number): number;
  set(key: number, number: number): void;
}

/** Keys below this are looked up in an array, which is faster and takes so many integers. */
const ARRAY_KEYS = 1 << 19;

const newNumbers = (keys: number): Numbers => {
  if (keys > ARRAY_KEYS) {
    const map = new Map<number, number>();
    return { get: (key) => map.get(key) ?? -1, set: (key, number) => map.set(key, number) };
  }
  const numbers = new Int32Array(keys).fill(-1);
  return {
    get: (key) => numbers[key],
    set: (key, number) => {
      numbers[key] = number;
    },
  };
};

/** What is known from one end: the price of every state that was reached, by group and turn. */
export interface Side {
  /** By kind of weave: where an index goes, seen from this end. */
  readonly moves: readonly Uint8Array[];
  readonly numbers: Numbers;
  readonly keys: number[];
  /** The number that each group has at the other end; −1 where it was not reached from there. */
  readonly twins: number[];
  /** By kind of weave, the group that it led to last: the turns of a group mostly lead to one. */
  readonly lately: { key: number; group: number }[];
  /** The least price of each group, and the turn that has it. */
  readonly least: number[];
  readonly leastTurn: number[];
  /** Prices by group number · size + turn. */
  prices: Int32Array;
  /** What is to be gone on from, by its price: a state, or −1 − a group whose every turn is reached by a cut. */
  readonly waiting: Map<number, number[]>;
  /** The prices that wait, the smallest last. */
  readonly due: number[];
}

export const newSide = (moves: readonly Uint8Array[], keys: number): Side => ({
  ...{ moves, numbers: newNumbers(keys), keys: [], twins: [], least: [], leastTurn: [] },
  lately: moves.map(() => ({ key: -1, group: -1 })),
  ...{ prices: new Int32Array(0), waiting: new Map<number, number[]>(), due: [] },
});

export const wait = ({ waiting, due }: Side, price: number, what: number): void => {
  const there = waiting.get(price);
  if (there) {
    there.push(what);
    return;
  }
  waiting.set(price, [what]);
  let index = due.length;
  while (index > 0 && due[index - 1] < price) index--;
  due.splice(index, 0, price);
};

/** How many things wait at the price that is next. */
export const load = ({ waiting, due }: Side): number => waiting.get(due[due.length - 1])?.length ?? 0;
