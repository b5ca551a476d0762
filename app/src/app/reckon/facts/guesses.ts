import { Card, showCard, speakCard } from '@enumeron/core/deck';
import { sayShare } from '@enumeron/core/file/odds/sayShare';
import { chancesOf, Possible } from '@enumeron/core/reckon/facts';
import { GuessedSlot, RailGuesses } from '../../nouns/pack/rail-guess';

/** A card that is less likely than this at a place is not shown there: many are as likely. */
const WORTH_SHOWING = 0.1;

const percent = (chance: number): string => sayShare(chance, 0);

/** For every place how many cards may lie there, and the likeliest; or for one card where it may lie. */
export const guessesOf = (possible: Possible, about: Card | undefined): RailGuesses => {
  const chances = about === undefined ? [] : chancesOf(possible, about);
  // Shaded against the likeliest place: where all are alike, all can be seen.
  const most = Math.max(...chances, 0);
  const slots = possible.guesses.map(({ cards, likeliest, chance }, index): GuessedSlot => {
    const place = `place ${index + 1}`;
    if (about !== undefined)
      return {
        card: about,
        chance: most === 0 ? 0 : chances[index] / most,
        below: chances[index] === 0 ? '' : percent(chances[index]).replace(/ %$/, ''),
        label: `${place}, ${speakCard(about)} ${chances[index] === 0 ? 'cannot lie here' : percent(chances[index])}`,
      };
    const leads = chance >= WORTH_SHOWING;
    return {
      card: likeliest,
      chance: leads ? chance : 0,
      below: cards.toString(),
      label:
        cards === 1
          ? `${place}, ${speakCard(likeliest)} for certain`
          : `${place}, one of ${cards} cards` +
            (leads ? `, likeliest ${speakCard(likeliest)}, ${percent(chance)}` : ''),
    };
  });
  return { about, slots };
};

/** What the rail shows now, for the eye. */
export const describeGuesses = ({ about }: RailGuesses): string =>
  about === undefined
    ? 'The rail shows below each place how many cards may lie there, and the likeliest where one leads.'
    : `The rail shows where ${showCard(about)} may lie, and below how likely in a hundred.`;
