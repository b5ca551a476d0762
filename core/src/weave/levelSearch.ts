import { Job } from '../job/job';
import { Move } from '../moves/move';
import { GroupTable } from './groupTable';
import { LevelRows, Middle } from './levelRows';
import { endTables, keyOf, layOut, SizeTables, wovenKey } from './searchSide';
import { wovenIndices } from './wovenIndices';
import { KINDS } from './placesRows';

/** The largest pack whose turns fit into the two words of a group. */
export const MOST_TURNS = 64;

/** What a search of packs of one size looks up from one end. */
interface EndTables extends SizeTables {
  /** By kind of weave: where it takes the first turns of the order to, for each number of them, as two words. */
  readonly images: readonly Int32Array[];
}

const imagesOf = (moved: Uint8Array, order: Uint8Array): Int32Array => {
  const images = new Int32Array(2 * (order.length + 1));
  for (let at = 0; at < order.length; at++) {
    const to = moved[order[at]];
    images[2 * at + 2] = images[2 * at] | (to < 32 ? 1 << to : 0);
    images[2 * at + 3] = images[2 * at + 1] | (to < 32 ? 0 : 1 << (to - 32));
  }
  return images;
};

const known = new Map<number, readonly [EndTables, EndTables]>();

const tablesFor = (size: number): readonly [forth: EndTables, back: EndTables] => {
  const there = known.get(size);
  if (there) return there;
  const [forth, back] = endTables(KINDS.map((kind) => Uint8Array.from(wovenIndices(size, kind)))).map(
    (each): EndTables => ({ ...each, images: each.moves.map((moved) => imagesOf(moved, each.order)) }),
  );
  known.set(size, [forth, back]);
  return [forth, back];
};

/** What is known from one end: all groups up to a level. */
export interface End {
  readonly tables: EndTables;
  readonly groups: GroupTable;
  level: number;
  /** The groups that were first reached at the level, and at the one before. */
  last: number[];
  before: number[];
}

const newEnd = (tables: EndTables): End => ({
  ...{ tables, groups: new GroupTable(), level: 0, last: [], before: [] },
});

/** All turns of a group cost so many times as much to go on from as the few that are reached at its level. */
const ALL_TURNS = 8;
const loadOf = ({ last, before }: End): number => last.length + ALL_TURNS * before.length;

/** Calls back with each bit that is set in two words. */
const eachBit = (low: number, high: number, then: (bit: number) => void): void => {
  for (let rest = low; rest !== 0; rest &= rest - 1) then(31 - Math.clz32(rest & -rest));
  for (let rest = high; rest !== 0; rest &= rest - 1) then(63 - Math.clz32(rest & -rest));
};

/** What is done with turns that a weave of some kind leads to. */
type Led = (key: number, low: number, high: number, kind: number, from: number) => void;

/**
 * The shortest rows of weaves and cuts, a cut as long as a weave, from a state to one of several: level by level from both
 * ends. A state is the indices of the cards; states that are turns of each other are one group, its key the distances of the
 * other cards from the first, and the turn the index of the first. As a cut costs one, all turns of a group that are not
 * reached at its level are reached one later: so one level and one set of turns hold what all of them cost.
 */
export class LevelSearch {
  private readonly forth: End;
  private readonly back: End;
  /** The groups that both ends have reached, and how long the shortest row through them is. */
  private readonly met: number[] = [];
  private shortest = Infinity;
  private readonly gaps: Uint8Array;
  /** How many states were gone on from, nearly. */
  looked = 0;

  /** @param size cards in the pack, 2 to 64. @param cards how many are followed. */
  constructor(
    private readonly size: number,
    private readonly cards: number,
  ) {
    const [forth, back] = tablesFor(size);
    [this.forth, this.back] = [newEnd(forth), newEnd(back)];
    this.gaps = new Uint8Array(cards);
  }

  /**
   * The shortest rows from a state to one of several, each the indices of the cards from 0: of those with the fewest weaves
   * as many as are asked for; none where there is no row. It yields after each level how many states it has looked at.
   */
  *run(
    start: readonly number[],
    goals: readonly (readonly number[])[],
    most: number,
  ): Job<number, readonly (readonly Move[])[]> {
    const { forth, back } = this;
    this.begin(forth, [start]);
    this.begin(back, goals);
    this.meet(back, forth);
    while (this.shortest > forth.level + back.level + 1) {
      if (loadOf(forth) === 0 || loadOf(back) === 0) return [];
      if (loadOf(forth) <= loadOf(back)) this.step(forth, back);
      else this.step(back, forth);
      yield this.looked;
    }
    return new LevelRows({ forth, back, size: this.size, cards: this.cards }).through(this.middles(), most);
  }

  private begin(end: End, states: readonly (readonly number[])[]): void {
    for (const state of states) {
      const [key, turn] = [keyOf(state, this.size), state[0]];
      if (end.groups.reach(key, 0, turn < 32 ? 1 << turn : 0, turn < 32 ? 0 : 1 << (turn - 32)))
        end.last.push(key);
    }
  }

  /** Goes on from what is at the level: from the turns of the last groups, and from all others of those before. */
  private step(end: End, other: End): void {
    const { groups } = end;
    const next: number[] = [];
    const level = end.level + 1;
    this.goOn(end, (key, low, high) => {
      if (groups.reach(key, level, low, high)) next.push(key);
    });
    end.level = level;
    [end.before, end.last] = [end.last, next];
    this.meet(end, other);
  }

  /** Takes the groups that were just reached which the other end has reached, too. */
  private meet(end: End, other: End): void {
    for (const key of end.last) {
      const there = other.groups.find(key);
      if (there < 0) continue;
      this.met.push(key);
      const here = end.groups.find(key);
      const meets =
        (end.groups.lowAt(here) & other.groups.lowAt(there)) !== 0 ||
        (end.groups.highAt(here) & other.groups.highAt(there)) !== 0;
      const length = end.groups.levelAt(here) + other.groups.levelAt(there) + (meets ? 0 : 1);
      this.shortest = Math.min(this.shortest, length);
    }
  }

  /** Every weave from what is at the level, where it leads. @param led is given turns of one group. */
  private goOn(end: End, led: Led): void {
    for (const key of end.last) this.weaveTurns(end, key, led);
    for (const key of end.before) this.weaveAll(end, key, led);
    // Of the last groups mostly one turn is reached at the level.
    this.looked += end.last.length + this.size * end.before.length;
  }

  private weaveTurns({ tables, groups }: End, key: number, led: Led): void {
    layOut(key, this.size, this.gaps);
    const at = groups.find(key);
    const [low, high] = [groups.lowAt(at), groups.highAt(at)];
    for (let kind = 0; kind < tables.moves.length; kind++) {
      const moved = tables.moves[kind];
      eachBit(low, high, (turn) => {
        const to = moved[turn];
        led(wovenKey(moved, turn, this.gaps), to < 32 ? 1 << to : 0, to < 32 ? 0 : 1 << (to - 32), kind, key);
      });
    }
  }

  /**
   * All turns, in stretches: as the pack turns a weave leads to the same group until one of the cards crosses an edge. (The
   * few that were gone on from a level earlier lead to groups that were reached by then: they change nothing.)
   */
  private weaveAll({ tables }: End, key: number, led: Led): void {
    const { cards, size, gaps } = this;
    layOut(key, this.size, this.gaps);
    for (let kind = 0; kind < tables.moves.length; kind++) {
      const moved = tables.moves[kind];
      const changes = tables.changes[kind];
      const images = tables.images[kind];
      let [low, high] = [0, 0];
      for (let card = 1; card < cards; card++) {
        low |= changes[2 * gaps[card]];
        high |= changes[2 * gaps[card] + 1];
      }
      let from = 0;
      while (from < size) {
        let to = size;
        if (low !== 0) {
          to = 31 - Math.clz32(low & -low);
          low &= low - 1;
        } else if (high !== 0) {
          to = 63 - Math.clz32(high & -high);
          high &= high - 1;
        }
        led(
          wovenKey(moved, tables.order[from], this.gaps),
          images[2 * to] & ~images[2 * from],
          images[2 * to + 1] & ~images[2 * from + 1],
          kind,
          key,
        );
        from = to;
      }
    }
  }

  /** Where every shortest row passes from what is known from the start to what is known from the end. */
  private middles(): readonly Middle[] {
    const { forth, back, shortest } = this;
    const joined = this.met.flatMap((key) => this.middlesIn(key));
    if (shortest === forth.level + back.level) return joined;
    return [
      ...joined,
      ...(loadOf(forth) <= loadOf(back) ? this.woven(forth, back) : this.woven(back, forth)),
    ];
  }

  /** The turns of a group at which the two ends meet, or the cuts in it that join them. */
  private middlesIn(key: number): readonly Middle[] {
    const { forth, back } = this;
    const forthTurns = turnsAt(forth, key, this.size);
    const backTurns = turnsAt(back, key, this.size);
    if (this.shortest === forth.level + back.level)
      return forthTurns
        .filter((turn) => backTurns.includes(turn))
        .map((turn) => ({ forth: { key, turn }, back: { key, turn } }));
    return forthTurns.flatMap((from) =>
      backTurns.map((to): Middle => ({ forth: { key, turn: from }, move: 'cut', back: { key, turn: to } })),
    );
  }

  /** The weaves that lead from what is at the level of one end to what is at that of the other. */
  private woven(end: End, other: End): readonly Middle[] {
    const found: Middle[] = [];
    this.goOn(end, (key, low, high, kind, from) => {
      const there = other.groups.find(key);
      if (there < 0) return;
      const apart = other.level - other.groups.levelAt(there);
      if (apart !== 0 && apart !== 1) return;
      const [at, above] = [other.groups.lowAt(there), other.groups.highAt(there)];
      eachBit(low & (apart === 0 ? at : ~at), high & (apart === 0 ? above : ~above), (turn) => {
        const [here, beyond] = [
          { key: from, turn: end.tables.moves[kind].indexOf(turn) },
          { key, turn },
        ];
        found.push(
          end === this.forth
            ? { forth: here, move: KINDS[kind], back: beyond }
            : { forth: beyond, move: KINDS[kind], back: here },
        );
      });
    });
    return found;
  }
}

/** The turns of a group that are reached at just the level of an end. */
const turnsAt = ({ groups, level }: End, key: number, size: number): readonly number[] => {
  const at = groups.find(key);
  const apart = level - groups.levelAt(at);
  if (apart !== 0 && apart !== 1) return [];
  const turns: number[] = [];
  const [low, high] = [groups.lowAt(at), groups.highAt(at)];
  eachBit(apart === 0 ? low : ~low, apart === 0 ? high : ~high, (turn) => {
    if (turn < size) turns.push(turn);
  });
  return turns;
};
