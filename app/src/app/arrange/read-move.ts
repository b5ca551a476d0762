import { Order, parseCard, placeOf, showCard } from '@enumeron/core/deck';
import { applyMove, cards, Move } from '@enumeron/core/moves';

/** What a text was read as: a move, or what is wrong with it; neither while it is empty. */
export interface MoveReading {
  readonly move?: Move;
  readonly problem?: string;
}

/** One way to write a move: an example of it, what it looks like, and how it is read against a pack. */
interface Form {
  readonly usage: string;
  readonly pattern: RegExp;
  read(found: readonly string[], now: Order): Move | undefined;
}

const kindOfWeave = (word: string): 'in' | 'out' => (word === 'in' ? 'in' : 'out');
const top = (count: string | undefined): { top?: number } => (count ? { top: Number(count) } : {});

const FORMS: readonly Form[] = [
  {
    usage: 'out',
    pattern: /^(in|out)(?: (\d+))?$/,
    read: ([word, count]) => ({ kind: 'weave', weave: kindOfWeave(word), ...top(count) }),
  },
  {
    usage: 'unweave out',
    pattern: /^unweave (in|out)(?: (\d+))?$/,
    read: ([word, count]) => ({ kind: 'unweave', weave: kindOfWeave(word), ...top(count) }),
  },
  {
    usage: 'weave 10 in',
    pattern: /^(un)?weave (\d+) (in|out)$/,
    read: ([back, count, word]) => ({
      kind: back ? 'unweave packet' : 'weave packet',
      weave: kindOfWeave(word),
      count: Number(count),
    }),
  },
  { usage: 'cut 12', pattern: /^cut (\d+)$/, read: ([count]) => ({ kind: 'cut', count: Number(count) }) },
  { usage: 'deal 9', pattern: /^deal (\d+)$/, read: ([count]) => ({ kind: 'deal', count: Number(count) }) },
  {
    usage: 'reverse 5 20',
    pattern: /^reverse (\d+)(?: to)? (\d+)$/,
    read: ([from, to]) =>
      Number(from) >= 1 && Number(from) < Number(to)
        ? { kind: 'reverse packet', from: Number(from), to: Number(to) }
        : undefined,
  },
  {
    usage: 'block 5 9 to 30',
    pattern: /^(turned )?block (\d+) (\d+) to (\d+)$/,
    read: ([turned, ...numbers]) => {
      const [from, to, after] = numbers.map(Number);
      return from >= 1 && from <= to && (after < from || after > to)
        ? { kind: 'move packet', from, to, after, reversed: Boolean(turned) }
        : undefined;
    },
  },
  {
    usage: 'heaps 4',
    pattern: /^heaps (\d+)((?: \d+)*)$/,
    read: ([count, order]) => {
      const heaps = Number(count);
      const named = order.trim() === '' ? undefined : order.trim().split(' ').map(Number);
      const gather = named ?? Array.from({ length: heaps }, (_, index) => index + 1);
      const each = gather.length === heaps && new Set(gather).size === heaps && Math.max(...gather) === heaps;
      return heaps >= 2 && heaps <= 13 && each && !gather.includes(0)
        ? { kind: 'deal heaps', heaps, gather }
        : undefined;
    },
  },
  {
    usage: 'riffle #1',
    pattern: /^riffle(?: #(\d+))?$/,
    read: ([seed]) => ({ kind: 'riffle', seed: Number(seed || 1) }),
  },
  {
    usage: 'overhand #1',
    pattern: /^overhand(?: #(\d+))?$/,
    read: ([seed]) => ({ kind: 'overhand', seed: Number(seed || 1), chop: 0.2 }),
  },
  {
    usage: 'take 5',
    pattern: /^take (\d+)$/,
    read: ([place], now) =>
      Number(place) >= 1 ? { kind: 'take', place: Number(place), card: now[Number(place) - 1] } : undefined,
  },
];

const PUT = /^put (\S+) (\d+)$/;

/** How moves are written, for the eye. */
export const MOVE_USAGE = [...FORMS.map(({ usage }) => usage), 'put 7D 5'].join(' · ');

/** A card put into the pack must not be in it yet. */
const readPut = (card: string, place: number, now: Order): MoveReading => {
  const read = parseCard(card);
  if (read === undefined) return { problem: `“${card.slice(0, 20)}” is not a card.` };
  if (placeOf(now, read) !== undefined)
    return { problem: `${showCard(read)} is in the pack already. Take it out first.` };
  return place >= 1 && place <= now.length + 1
    ? { move: { kind: 'put', place, card: read } }
    : { problem: `It can go to a place from 1 to ${(now.length + 1).toString()}.` };
};

/** Reads one move against the pack that it is done to: a word, and numbers that the pack has. */
export const readMove = (text: string, now: Order): MoveReading => {
  const plain = text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (plain === '') return {};
  const put = PUT.exec(plain);
  if (put) return readPut(put[1], Number(put[2]), now);
  const tooLarge = (plain.match(/(?<![#\d])\d+/g) ?? []).map(Number).find((number) => number > now.length);
  if (tooLarge !== undefined)
    return { problem: `${tooLarge.toString()} is more than the pack has: ${cards(now.length)}.` };
  for (const { pattern, read } of FORMS) {
    const found = pattern.exec(plain);
    const move =
      found &&
      read(
        found.slice(1).map((part: string | undefined) => part ?? ''),
        now,
      );
    if (move) return { move };
  }
  return { problem: `“${text.trim().slice(0, 30)}” is not a move. Write ${MOVE_USAGE}.` };
};

/** Reads a row of moves with commas, semicolons or new lines between them, each against what it is done to. */
export const readMoves = (
  text: string,
  start: Order,
): { readonly moves: readonly Move[]; readonly problem?: string } => {
  const moves: Move[] = [];
  let now = start;
  for (const part of text.split(/[,;\n]/)) {
    const { move, problem } = readMove(part, now);
    if (problem) return { moves, problem };
    if (!move) continue;
    moves.push(move);
    now = applyMove(now, move);
  }
  return { moves };
};
