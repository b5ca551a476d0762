import { distance } from 'fastest-levenshtein';
import { Values } from '@enumeron/core/form';
import { Fact } from '@enumeron/core/reckon/facts';
import { Page, Place, WayIn } from '../../room';
import { PLACES, ROOMS } from '../../rooms';
import { Completion, Intent, Reply } from './reply';

/** A page that the ask line opens, by its words in small letters, its name or what else it is called. */
interface Called {
  readonly room: Place;
  readonly way: Page & Partial<WayIn>;
  readonly name: string;
  readonly words: string;
}

/** Every page that has a name, and every way in. */
const CALLED: readonly Called[] = PLACES.flatMap((room) => {
  const ways: readonly (Page & Partial<WayIn>)[] = room.ways ?? [];
  const others = room.pages.filter(({ path }) => !ways.some((way) => way.path === path));
  return [...ways, ...others].flatMap((way) =>
    way.name === undefined
      ? []
      : {
          ...{ room, way, name: way.name, words: way.words ?? way.name.toLowerCase() },
        },
  );
});

const open = ({ room, way }: Called, values?: Values): Intent => ({
  ...{ do: 'open', room, way },
  ...(values ? { values } : {}),
});

/** What a page's own words are answered with. */
const call = (called: Called): Reply => {
  const { seen, asked } = called.way;
  return {
    intent: open(called),
    says: `Open ${called.name}`,
    note: seen ? `Seen: ${seen}. Asked: ${asked ?? ''}.` : undefined,
    completions: [],
  };
};

/** Pages whose words hold a beginning that was typed, then pages and rooms that people call so. */
export const pagesFor = (text: string): Completion[] => {
  const begun = ({ also = [] }: Page | Place): string | undefined =>
    also.find((each) => each.startsWith(text));
  const byWords = CALLED.filter(({ words }) => ` ${words}`.includes(` ${text}`));
  return [
    ...byWords.map((called) => ({
      text: called.words,
      says: called.way.asked ? `${called.name}: ${called.way.asked}` : called.name,
      intent: open(called),
    })),
    ...CALLED.filter((called) => !byWords.includes(called)).flatMap((called) => {
      const also = begun(called.way);
      return also === undefined ? [] : [{ text: also, says: `open ${called.name}`, intent: open(called) }];
    }),
    ...ROOMS.flatMap((room) => {
      const also = begun(room);
      return also === undefined
        ? []
        : [{ text: also, says: `open ${room.name}`, intent: { do: 'go', room } as const }];
    }),
  ];
};

/** Pages that go on from a fact. */
export const pagesFrom = (fact: Fact): Completion[] =>
  CALLED.flatMap((called) => {
    const values = called.way.take?.(fact);
    return values
      ? [{ text: called.words, says: `${called.name}, with this`, intent: open(called, values) }]
      : [];
  });

/** The page or room that is called by exactly these words, its name, or what people call it, in small letters. */
export const pageCalled = (text: string): Reply | undefined => {
  const called =
    CALLED.find(({ name, words }) => words === text || name.toLowerCase() === text) ??
    CALLED.find(({ way: { also = [] } }) => also.includes(text));
  if (called) return call(called);
  const room = ROOMS.find(({ also = [] }) => also.includes(text));
  return room && { intent: { do: 'go', room }, says: `Open ${room.name}`, note: room.words, completions: [] };
};

/** So many letters may be wrong in a word that is not known. */
const wrongLetters = (text: string): number => Math.max(1, Math.floor(text.length / 3));

/** So many are offered where a text is not known. */
const FEW = 3;

/** Pages and rooms that are called much like a text, the nearest first. */
export const pagesLike = (text: string): Completion[] => {
  const known = [
    ...ROOMS.map((room) => ({
      names: [room.name, ...(room.also ?? [])],
      says: room.name,
      intent: { do: 'go', room } as const,
    })),
    ...CALLED.map((called) => ({
      names: [called.words, called.name, ...(called.way.also ?? [])],
      says: called.name,
      intent: open(called),
    })),
  ];
  return known
    .map(({ names, says, intent }) => ({
      far: Math.min(...names.map((name) => distance(text, name.toLowerCase()))),
      completion: { text: says.toLowerCase(), says: `open ${says}`, intent },
    }))
    .filter(({ far }) => far <= wrongLetters(text))
    .sort((a, b) => a.far - b.far)
    .slice(0, FEW)
    .map(({ completion }) => completion);
};
