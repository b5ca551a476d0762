import { joinCards, RANKS, speakRank } from '@enumeron/core/deck';

/** How people say what the ask line knows by one word. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/^\?+$/, 'help'],
  [
    /^(?:help me|how (?:does|do) (?:this|it|i) (?:work|start|begin)|what can i (?:do|type|say)(?: here)?)$/,
    'help',
  ],
  [/^(?:take (?:it|that) back|go back|back|undo (?:it|that)|oops)$/, 'undo'],
  [/^(?:redo (?:it|that)|again)$/, 'redo'],
  [/^(?:keys|keyboard|shortcuts|keyboard shortcuts)$/, 'help'],
  [/^(?:swap|change|other) (?:the )?packs?$/, 'swap'],
  [/\b(in|out)[ -](?:weave|faro|shuffle)s?\b/, '$1'],
  [/^(?:i )?(?:glimpsed?|peek(?:ed)?(?: at)?) (?=\S+$)/, 'face '],
  // To bring a card to the top is no glimpse of it there.
  [/^(?:bring |put |move |get )(.+?) (?:to|on|at) (?:the )?top$/, '$1 1'],
  [/^(.+?) to (?:the )?top$/, '$1 1'],
  [/\b(?:bottom|underneath)\b/, 'face'],
  [/\b(\d{1,2})(?:st|nd|rd|th)\b/, '$1'],
  [/\bcut (?:off|at|by) (?=\d)/, 'cut '],
];

const TENS = ['twenty', 'thirty', 'forty', 'fifty'];
const TEENS = [
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
/** Two to ten as cards are spoken, and one. */
const UNITS = ['one', ...RANKS.slice(1, 10).map(speakRank)];

/** Numbers in words, one to fifty-nine. */
const NUMBERS: ReadonlyMap<string, string> = new Map(
  [
    ...UNITS,
    ...TEENS,
    ...TENS.flatMap((ten) => [ten, ...UNITS.slice(0, 9).map((unit) => `${ten}-${unit}`)]),
  ].map((word, index) => [word, (index + 1).toString()]),
);

/** Words that people say around what they ask for, and that change nothing: `please bring the 7D to 15`. */
const AROUND: ReadonlySet<string> = new Set(
  (
    'a an and are at be bring can card cards could did do does find for get give go how i is it lie lies look me move my name named ' +
    'names number of off on open page pack place please position put room saw say see seen show tell that the they this to want wanted ' +
    'was what whats where wheres which with you deck order'
  ).split(' '),
);

/** Ranks in words, which are no numbers. */
const RANK_LETTERS: Readonly<Record<string, string>> = { ace: 'a', jack: 'j', queen: 'q', king: 'k' };

/** A text as the ask line reads it: small letters, cards and numbers in short, everyday ways of saying as one word. */
export const inShort = (text: string): string => {
  const plain = text
    .toLowerCase()
    .replace(/[’']s\b/g, 's')
    .replace(/(?<=\S)[?!.:;]+$/, '')
    .replace(/[,@=]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const said = SAID.reduce((words, [way, word]) => words.replace(way, word), joinCards(plain).toLowerCase());
  return said.replace(/[a-z]+(?:-[a-z]+)?/g, (word) =>
    Object.hasOwn(RANK_LETTERS, word) ? RANK_LETTERS[word] : (NUMBERS.get(word) ?? word),
  );
};

/** The words without those that change nothing. */
export const withoutAround = (words: readonly string[]): readonly string[] =>
  words.filter((word) => !AROUND.has(word));

const MEANING =
  /^(?:(?:what is|what are|help with|help about|help on|help|what does|what do|what about|whats|what|who is|who are|define|explain|meaning of) )(?:a |an |the )?(.+?)(?: mean| means| do)?$/;

/** The word whose meaning a text asks for: `what is a gap`, `what does seam mean`. */
export const askedMeaning = (text: string): string | undefined =>
  (
    MEANING.exec(
      text
        .toLowerCase()
        .replace(/[’']s\b/g, 's')
        .replace(/[?!.]+$/, '')
        .trim(),
    ) ?? []
  ).at(1);
