import { parseCard, formatCard } from '../deck/notation';
import { cardNamed } from '../procedure/laid';
import { LaidPart } from '../procedure/procedure';
import { sayExpression } from './sentence';
import { readWords } from './words';

/** What a packet's words mean, or what is wrong with them. */
export type ReadLaid =
  { readonly ok: true; readonly parts: readonly LaidPart[] } | { readonly ok: false; readonly what: string };

/** A packet at the start in words, a part a line: cards, `20 indifferent`, `first bank of AH 2H 3H`. */
export const sayLaid = (row: readonly LaidPart[]): string => {
  const lines: string[] = [];
  let cards: string[] = [];
  const end = (): void => {
    if (cards.length > 0) lines.push(cards.join(' '));
    cards = [];
  };
  for (const part of row) {
    if (typeof part === 'string') {
      cards.push(part);
      continue;
    }
    end();
    lines.push(
      'first' in part
        ? `first ${sayExpression(part.first)} of ${part.of.join(' ')}`
        : `${sayExpression(part.indifferent)} indifferent`,
    );
  }
  end();
  return lines.join('\n');
};

/** Cards with blanks or commas between them, or the text that is none. */
const cardsIn = (text: string): readonly string[] | { readonly wrong: string } => {
  const cards: string[] = [];
  for (const each of text.split(/[\s,]+/).filter((word) => word !== '')) {
    const named = cardNamed(each) === undefined ? parseCard(each) : undefined;
    if (named === undefined && cardNamed(each) === undefined) return { wrong: each };
    cards.push(named === undefined ? each : formatCard(named));
  }
  return cards;
};

/**
 * Reads a packet's words as `sayLaid` says them; parts stand on lines of their own or behind a semicolon.
 *
 * @param givens names of numbers that may be used.
 */
export const readLaid = (text: string, givens: readonly string[]): ReadLaid => {
  const known = { names: givens, packets: [], orders: [] };
  const parts: LaidPart[] = [];
  for (const line of text.split(/[\n;]/).map((each) => each.trim())) {
    const count = /^(.+)\sindifferent$/i.exec(line)?.at(1);
    const first = /^first\s(.+?)\sof\s(.*)$/i.exec(line);
    const most = first?.at(1);
    const cards = cardsIn(first?.at(2) ?? (count === undefined ? line : ''));
    if ('wrong' in cards) return { ok: false, what: `“${cards.wrong.slice(0, 30)}” is no card.` };
    const number = count ?? most;
    if (number === undefined) {
      parts.push(...cards);
      continue;
    }
    const read = readWords(number, 'number', known);
    if (!read.ok) return { ok: false, what: read.what };
    parts.push(count === undefined ? { first: read.value, of: cards } : { indifferent: read.value });
  }
  return { ok: true, parts };
};
