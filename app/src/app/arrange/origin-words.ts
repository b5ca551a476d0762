import { showSuit } from '@enumeron/core/deck';
import { Origin } from '@enumeron/core/arrange';

/** How an order was made, in a few words for the list. */
export const originWords = (origin: Origin): string => {
  switch (origin.kind) {
    case 'rule':
      return origin.rule.kind === 'rotating'
        ? `+${origin.rule.step.toString()} ${origin.rule.suits.map(showSuit).join('')}`
        : origin.rule.kind;
    case 'recipe':
      return `recipe of ${origin.moves.length.toString()}`;
    case 'bank':
      return `bank at ${origin.bank.places[0].toString()}`;
    case 'random':
      return 'at random';
  }
};
