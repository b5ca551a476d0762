const FACE = 'I see the face card';
const TOP = 'I see the top card';
const CUT_OFF = 'they cut off a packet';
const TAKE = 'they take any card and look at it';
const ONE_OF = 'they choose one of several';
const COUNT = 'I see how many cards are in a packet';
const LOOK = 'I see how many of some cards are in a packet';
const MISSING = 'I see which of some cards is missing';
const MEET = 'I see the first of some cards, looking through';
const ON = 'I put a packet on another';
const THEY_ON = 'they put a packet on another';
const CLAIM = 'it must be so that';

/**
 * What performers call it, and the beginnings of sentences in the palette that it may be, the likeliest first. To add a
 * word: a row.
 */
export const TRADE_WORDS: Readonly<Record<string, readonly string[]>> = {
  glimpse: [FACE, TOP, 'I see the card at a place'],
  peek: [FACE, TOP, 'I see the card at a place'],
  note: [FACE, TOP],
  remember: ['they see the face card', 'they see the top card', FACE],
  count: [COUNT, 'they deal cards', LOOK],
  weigh: [COUNT],
  estimate: [COUNT, 'I take about so many, uncounted'],
  about: ['I take about so many, uncounted'],
  stop: ['they deal and stop when they like'],
  split: [CUT_OFF, 'they cut and complete the cut', 'they lift cards'],
  halve: [CUT_OFF],
  complete: ['they cut and complete the cut'],
  force: ['I give them the top card, whatever they say', ONE_OF],
  give: ['I give them the top card, whatever they say'],
  hand: ['I give them the top card, whatever they say', 'I put a packet on another'],
  swap: ['I let two packets change places', 'they let two packets change places'],
  exchange: ['they let two packets change places', 'I let two packets change places'],
  switch: ['I let two packets change places'],
  spread: [TAKE, MEET],
  fan: [TAKE, MEET],
  pick: [TAKE, 'they choose a number'],
  select: [TAKE],
  think: ['they choose a number'],
  square: [THEY_ON, ON],
  assemble: [THEY_ON, ON],
  drop: [THEY_ON, ON],
  replace: [THEY_ON, 'they put a card in'],
  pocket: ['I put a card into my pocket', 'they take a card out'],
  steal: ['I put a card into my pocket', 'I take a card out'],
  cull: ['I take a card out by its face', MEET],
  find: ['I take a card out by its face', MEET],
  lose: ['they put a card in', 'they mix'],
  bury: ['they put a card in', 'I put a card in'],
  reveal: [CLAIM, 'all see the top card'],
  show: ['all see the top card', CLAIM],
  prove: [CLAIM, 'I must know'],
  shuffle: ['they mix', 'they riffle', 'they shuffle overhand'],
  wash: ['they mix'],
  faro: ['I weave a packet', 'I take a weave back'],
  flip: ['they turn a packet over', 'they turn one card over'],
  reverse: ['they turn one card over', 'they turn a packet over'],
  heaps: ['they deal round into heaps'],
  piles: ['they deal round into heaps'],
  point: [ONE_OF],
  either: [ONE_OF],
  break: ['I cut where I feel it'],
  bridge: ['I cut where I feel it'],
  pass: ['I cut where I feel it', 'I cut a packet to its bottom'],
  scan: [LOOK, MISSING, MEET],
  search: [MEET, 'I see the next card below one, looking through', MISSING],
  missing: [MISSING],
  mates: ['I see where two mates lie together'],
  ask: ['they answer yes or no', 'they name a number aloud'],
  fish: ['they answer yes or no'],
  add: ['I work out a number'],
  reckon: ['I work out a number', 'I work out a stack number'],
  fail: ['if not, an out', 'out'],
  mend: ['out, and clear up', 'if not, an out'],
};

/** So many letters of a word are enough. */
const ENOUGH = 3;

/** The sentences that a word of the trade means, or the beginning of one. */
export const tradeWordsFor = (typed: string): readonly string[] => {
  if (typed.length < ENOUGH) return [];
  const found = Object.entries(TRADE_WORDS).filter(
    ([word]) => word.startsWith(typed) || typed === `${word}s`,
  );
  return [...new Set(found.flatMap(([, sentences]) => sentences))];
};
