import { Card } from '../deck/card';
import { showCard } from '../deck/notation';
import { INDIFFERENT } from '../procedure/packets';

/** A card of a procedure, for people: `7♦`, `an indifferent card`. */
export const sayCard = (card: Card): string =>
  card === INDIFFERENT ? 'an indifferent card' : showCard(card);
