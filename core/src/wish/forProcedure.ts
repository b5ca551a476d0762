import { formatCard } from '../deck/notation';
import { Problem } from '../deck/problem';
import { laidOut } from '../procedure/laid';
import { INDIFFERENT } from '../procedure/packets';
import { Procedure } from '../procedure/procedure';
import { FEWEST_CARDS, wishProblem } from './readWishes';
import { Wish } from './wish';

/** The share of cases that is wished for at first. */
const LEAST = 0.95;

const sorted = (cards: readonly string[]): string => [...cards].sort().join(' ');

/**
 * A procedure as a wish for an order: in the place of the packet that has just these cards, else of its largest.
 *
 * @param pack the cards at hand.
 * @returns the wish; and the cards of the packet where they are others than those at hand.
 */
export const wishForProcedure = (
  procedure: Procedure,
  pack: readonly string[],
):
  | { readonly ok: true; readonly wish: Wish; readonly pack?: readonly string[] }
  | { readonly ok: false; readonly problems: readonly Problem[] } => {
  const packets = Object.entries(procedure.packets ?? {}).map(([name, row]) => ({
    name,
    cards: (laidOut(row, procedure.givens ?? {}) ?? []).map((card) =>
      card === INDIFFERENT ? '-' : formatCard(card),
    ),
  }));
  const same = packets.find(({ cards }) => sorted(cards) === sorted(pack));
  const largest = packets.reduce<(typeof packets)[number] | undefined>(
    (best, each) => (best && best.cards.length >= each.cards.length ? best : each),
    undefined,
  );
  const packet = same ?? largest;
  if (!packet || packet.cards.length < FEWEST_CARDS)
    return {
      ok: false,
      problems: [
        { what: 'The procedure lays no packet of four cards or more.', remedy: 'Choose another one.' },
      ],
    };
  const wish: Wish = { kind: 'procedure', procedure, packet: packet.name, least: LEAST };
  const problem = wishProblem(wish, packet.cards.length);
  if (problem) return { ok: false, problems: [problem] };
  return { ok: true, wish, ...(!same && { pack: packet.cards }) };
};
