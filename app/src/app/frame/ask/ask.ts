import {
  Card,
  cardAt,
  formatCard,
  fromFace,
  offsetFromFace,
  offsetFromTop,
  Order,
  parseCard,
  parseRank,
  placeOf,
  showCard,
  SUITS,
} from '@enumeron/core/deck';
import { countOfCards, describeMove, parseMoveText, WRITTEN_MOVES } from '@enumeron/core/moves';
import { describeCost, describeHandling, handlings, toleratedFirst } from '@enumeron/core/reckon';
import { ROOMS } from '../../rooms';
import { NO_OTHER_PACK } from '../../nouns/pack/pack.store';
import { FACT_WORDS, isLikeCard, notACard, sayFact } from './ask-facts';
import { pageCalled, pagesFor, pagesFrom, pagesLike } from './ask-pages';
import { askedMeaning, inShort, withoutAround } from './everyday';
import { Asked, Completion, Reply } from './reply';

interface Word {
  readonly word: string;
  readonly usage: string;
  readonly says: string;
}

/** Moves that take a count of cards and are offered by their word. */
const COUNTED = ['cut', 'deal'];

/** The words that the ask line knows, beside cards, numbers and the names of rooms. */
export const WORDS: readonly Word[] = [
  { word: 'face', usage: 'face KH', says: 'a card seen at the face' },
  { word: 'top', usage: 'top 9D', says: 'a card seen on top' },
  ...WRITTEN_MOVES.map((written) => ({ word: written.usage.split(' ')[0], ...written })).filter(({ word }) =>
    COUNTED.includes(word),
  ),
  { word: 'in', usage: 'in', says: 'a perfect weave, the top card second' },
  { word: 'out', usage: 'out', says: 'a perfect weave, the top card staying on top' },
  { word: 'undo', usage: 'undo', says: 'take the last action back' },
  { word: 'redo', usage: 'redo', says: 'do it again' },
  ...FACT_WORDS,
  { word: 'riffled', usage: 'riffled 2', says: 'a bank after so many riffles: how sure is the key card' },
  { word: 'swap', usage: 'swap', says: 'take the other pack' },
  { word: 'help', usage: 'help', says: 'what can be typed and pressed' },
];

const completionOf = ({ word, usage, says }: Word): Completion => ({
  text: usage === word ? word : `${word} `,
  usage,
  says,
});

const STARTS = ['face', 'cut', 'in', 'help'];

/** What the empty line offers: how to begin. */
const NOTHING_YET: Reply = {
  hint: '7D: where it lies. 15: what lies there. 7D 15: bring it there.',
  completions: WORDS.filter(({ word }) => STARTS.includes(word)).map(completionOf),
};

const wrong = (problem: string, completions: readonly Completion[] = []): Reply => ({ problem, completions });

const find = ({ home, now }: Asked, card: Card): Reply => {
  const place = placeOf(now, card);
  if (place === undefined) return wrong(`${showCard(card)} is not in this pack.`);
  return {
    intent: { do: 'find', card },
    says: `${showCard(card)} lies at ${place}`,
    note: `from the face ${fromFace(place, now.length)}, stack number ${placeOf(home, card) ?? 'none'}`,
    completions: [{ text: `${formatCard(card)} `, says: 'and a number: bring it there' }],
  };
};

const look = ({ home, now }: Asked, number: number): Reply => {
  const card = cardAt(now, number);
  if (card === undefined)
    return wrong(`The pack has ${countOfCards(now.length)}; ask for a place from 1 to ${now.length}.`);
  return {
    intent: { do: 'look', number },
    says: `${showCard(card)} lies at ${number}`,
    note: `from the face ${fromFace(number, now.length)}, stack number ${placeOf(home, card) ?? 'none'}`,
    completions: [],
  };
};

const want = ({ now, tolerance }: Asked, card: Card, number: number): Reply => {
  const [best] = toleratedFirst(handlings(now, card, number), tolerance);
  if (placeOf(now, card) === undefined) return wrong(`${showCard(card)} is not in this pack.`);
  if (!(best as unknown))
    return wrong(`The pack has ${countOfCards(now.length)}; a number goes from 1 to ${now.length}.`);
  return {
    intent: { do: 'want', card, number },
    says: describeHandling(best),
    note: `${showCard(card)} at ${number}: ${describeCost(best)}`,
    completions: [],
  };
};

const see = ({ home, now }: Asked, at: 'face' | 'top', text: string | undefined): Reply => {
  if (text === undefined)
    return { hint: `the card seen ${at === 'face' ? 'at the face' : 'on top'}`, completions: [] };
  const card = parseCard(text);
  if (card === undefined) return notCard(text, `${at} `);
  if (placeOf(now, card) === undefined) return wrong(`${showCard(card)} is not in this pack.`);
  const offset = (at === 'face' ? offsetFromFace : offsetFromTop)(home, card);
  return {
    intent: { do: 'see', at, card },
    says: `${showCard(card)} ${at === 'face' ? 'at the face' : 'on top'}`,
    note: offset === undefined ? undefined : `in the home order, cut at ${offset}`,
    completions: pagesFrom({ kind: 'seen', at, card }),
  };
};

/** Cards that a text may become: all suits of a rank, or what a suit letter lacks. */
const cardCompletions = (text: string, before = '', after = ''): Completion[] => {
  const rank = parseRank(text === '1' ? '10' : text);
  if (rank === undefined) return [];
  return SUITS.map((suit) => suit * 13 + rank - 1).map((card) => ({
    text: `${before}${formatCard(card)}${after}`,
    says: showCard(card),
  }));
};

/** What is no card: a rank that lacks its suit goes on. */
const notCard = (text: string, before = ''): Reply => {
  const completions = cardCompletions(text, before);
  return completions.length > 0 ? { completions } : wrong(notACard(text));
};

const tell = (
  { now }: Asked,
  { word, ofCards, read }: (typeof FACT_WORDS)[number],
  rest: readonly string[],
): Reply => {
  const reading = read(rest, now);
  if ('fact' in reading)
    return {
      intent: { do: 'tell', fact: reading.fact },
      says: sayFact(reading.fact),
      completions: pagesFrom(reading.fact),
    };
  if ('hint' in reading) return { hint: reading.hint, completions: [] };
  const completions = ofCards
    ? cardCompletions(rest[rest.length - 1], [word, ...rest.slice(0, -1), ''].join(' '))
    : [];
  return completions.length > 0 ? { completions } : wrong(reading.problem);
};

const riffled = (rest: readonly string[]): Reply => {
  if (rest.length === 0) return { hint: 'how many riffles, 1 to 5', completions: [] };
  const text = rest.join(' ');
  if (!/^[1-5]$/.test(text)) return wrong(`“${text.slice(0, 20)}” is not a number of riffles from 1 to 5.`);
  return {
    intent: { do: 'riffled', riffles: Number(text) },
    says: `Key card after ${text} ${text === '1' ? 'riffle' : 'riffles'}`,
    completions: [],
  };
};

/** A room's name, which may be the beginning of a move, too. */
const roomReply = (word: string, rest: readonly string[]): Reply | undefined => {
  const room = ROOMS.find(({ name }) => name.toLowerCase() === word);
  const moves = WRITTEN_MOVES.filter(({ usage }) => usage.startsWith(`${word} `));
  if (!room || (rest.length > 0 && moves.length > 0)) return undefined;
  if (rest.length > 0) return wrong(`Nothing goes after ${word}.`);
  const completions = moves.map(({ usage, says }) => ({ text: `${word} `, usage, says }));
  return { intent: { do: 'go', room }, says: `Open ${room.name}`, completions };
};

const wordReply = (asked: Asked, word: string, rest: readonly string[]): Reply | undefined => {
  if (word === 'face' || word === 'top')
    return rest.length > 1 ? wrong(`One card after ${word}, such as ${word} KH.`) : see(asked, word, rest[0]);
  const factWord = FACT_WORDS.find((candidate) => candidate.word === word);
  if (factWord) return tell(asked, factWord, rest);
  if (word === 'riffled') return riffled(rest);
  const known = WORDS.find((candidate) => candidate.word === word);
  if (!known) return undefined;
  if (rest.length > 0) return wrong(`Nothing goes after ${word}.`);
  if (word === 'swap' && asked.beside === undefined) return wrong(NO_OTHER_PACK);
  const act = word as 'undo' | 'redo' | 'help' | 'swap';
  const says = {
    undo: 'Take the last action back',
    redo: 'Do it again',
    help: 'Show the help',
    swap: `Take ${asked.beside ?? ''} in hand`,
  }[act];
  return { intent: { do: act }, says, completions: [] };
};

const beginnings = (text: string): Completion[] => [
  ...WORDS.filter(({ word }) => word.startsWith(text)).map(completionOf),
  ...ROOMS.filter(({ name }) => name.toLowerCase().startsWith(text)).map(({ name }) => ({
    text: name.toLowerCase(),
    says: `open ${name}`,
  })),
  ...pagesFor(text),
];

const NUMBER = /^\d{1,3}$/;

const cardAndNumber = (asked: Asked, [first, second]: readonly string[]): Reply => {
  const [cardText, numberText] = NUMBER.test(first) ? [second, first] : [first, second];
  const card = parseCard(cardText);
  if (card === undefined) return notCard(cardText, NUMBER.test(first) ? `${first} ` : '');
  if (!NUMBER.test(numberText))
    return wrong(`“${numberText.slice(0, 20)}” is not a number from 1 to ${asked.now.length}.`);
  return want(asked, card, Number(numberText));
};

/** What nothing is known of, with what is written much like it. */
const unknown = (text: string): Reply =>
  wrong(`I don’t know “${text.slice(0, 30)}”. Try a card (7D), a number (15) or help.`, pagesLike(text));

const oneWord = (asked: Asked, text: string): Reply => {
  const card = parseCard(text);
  if (card !== undefined) return find(asked, card);
  const completions = [...cardCompletions(text), ...beginnings(text)];
  if (NUMBER.test(text)) return { ...look(asked, Number(text)), completions };
  if (completions.length > 0) return { completions };
  return isLikeCard(text) ? notCard(text) : unknown(text);
};

/** Why a word and what follows it are not a move, for a move that takes a count of cards. */
const whyNotCounted = ([word, ...rest]: readonly string[], { length }: Order): string =>
  rest.length > 1
    ? `One number after ${word}, such as ${word} 9.`
    : `“${rest[0].slice(0, 20)}” is not a count of cards; ${word} takes 1 to ${length}.`;

/** A move in any of the ways in which one is written, such as `reverse 5 20`. */
const writtenMove = ({ now }: Asked, words: readonly string[]): Reply | undefined => {
  const { move, problem } = parseMoveText(words.join(' '), now);
  if (move) return { intent: { do: 'move', move }, says: describeMove(move, now.length), completions: [] };
  const written = WRITTEN_MOVES.find(({ usage }) => usage.split(' ')[0] === words[0]);
  if (!written) return undefined;
  // It may go on.
  if (words.length < written.usage.split(' ').length)
    return { hint: `${written.usage}: ${written.says}`, completions: [] };
  return wrong(COUNTED.includes(words[0]) ? whyNotCounted(words, now) : (problem ?? ''));
};

/** A card and where it was seen, in this turn: `KH face`. */
const seenAt = (asked: Asked, [card, at, ...rest]: readonly string[]): Reply | undefined =>
  (at === 'face' || at === 'top') && rest.length === 0 && parseCard(card) !== undefined
    ? see(asked, at, card)
    : undefined;

/** A card in words that is none, or lacks its suit: `11 of hearts`, `7 of`. */
const suitOfRank = ([rank, , suit, ...rest]: readonly string[]): Reply | undefined => {
  if ((suit as string | undefined) === undefined)
    return { hint: 'and its suit: clubs, diamonds, hearts or spades', completions: [] };
  const card = `${rank}${suit.charAt(0)}`;
  return rest.length === 0 && isLikeCard(card) ? notCard(card) : undefined;
};

/** What cards, numbers and words are read as; undefined where they are several that say nothing together. */
const read = (asked: Asked, words: readonly string[]): Reply | undefined => {
  const [word, ...rest] = words;
  const known =
    roomReply(word, rest) ??
    writtenMove(asked, words) ??
    wordReply(asked, word, rest) ??
    seenAt(asked, words);
  if (known) return known;
  if (words.length === 1) return oneWord(asked, word);
  if (words[1] === 'of') return suitOfRank(words);
  const cards = words.filter((each) => parseCard(each) !== undefined).length;
  return words.length === 2 && cards < 2 && (cards > 0 || words.some((each) => NUMBER.test(each)))
    ? cardAndNumber(asked, words)
    : undefined;
};

/** What a word of the craft means. */
const meaning = (text: string | undefined, { glossary }: Asked): Reply | undefined => {
  const term = text === undefined ? undefined : glossary?.termOf(text);
  if (!term) return undefined;
  const [name] = term.names;
  const page =
    term.page === undefined
      ? undefined
      : (pageCalled(term.page.toLowerCase()) ?? roomReply(term.page.toLowerCase(), []));
  return {
    intent: { do: 'help', find: name },
    says: `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${term.says}`,
    completions: page?.intent
      ? [{ text: (term.page ?? '').toLowerCase(), says: `open ${term.page ?? ''}`, intent: page.intent }]
      : [],
  };
};

const isAnswer = (reply: Reply | undefined): reply is Reply & { readonly problem?: undefined } =>
  reply !== undefined && reply.problem === undefined;

/** The answer with the meaning of the word offered below it, where it is one of the craft. */
const withMeaning = (reply: Reply, text: string, asked: Asked): Reply => {
  const intent = meaning(text, asked)?.intent;
  return intent
    ? { ...reply, completions: [...reply.completions, { text, says: `what “${text}” means`, intent }] }
    : reply;
};

/** What nothing was made of: several questions at once, or words that are not known. */
const notKnown = (text: string, words: readonly string[]): Reply =>
  words.every((word) => NUMBER.test(word) || parseCard(word) !== undefined)
    ? wrong('That is more than one question. Write a card, a number, or both: 7D 15.')
    : unknown(text);

/**
 * Reads what was typed into the ask line and answers it against the pack.
 *
 * @param text anything.
 */
export const ask = (text: string, asked: Asked): Reply => {
  const typed = text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (typed === '') return NOTHING_YET;
  const called = pageCalled(typed);
  if (called) return withMeaning(called, typed, asked);
  const words = inShort(typed).split(' ');
  const pages = typed.includes(' ') ? pagesFor(typed) : [];
  const asTyped = read(asked, words);
  if (isAnswer(asTyped))
    return withMeaning({ ...asTyped, completions: [...asTyped.completions, ...pages] }, typed, asked);
  const told = meaning(askedMeaning(typed) ?? typed, asked);
  if (told) return told;
  if (pages.length > 0) return { completions: pages };
  const bare = withoutAround(words);
  const inside =
    bare.length > 0 && bare.length < words.length
      ? (pageCalled(bare.join(' ')) ?? read(asked, bare))
      : undefined;
  // What is begun only counts as an answer where one word is left: what more there is may be what is wrong.
  if (isAnswer(inside) && (inside.intent || bare.length === 1)) return inside;
  return asTyped ?? inside ?? notKnown(typed, words);
};
