import { Values } from '@enumeron/core/form';
import { Fact } from '@enumeron/core/reckon/facts';
import { Page, Place, WayIn } from '../../room';
import { PLACES } from '../../rooms';
import { Completion, Intent, Reply } from './reply';

/** A page that the ask line opens, by its words in small letters. */
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
    way.name === undefined ? [] : { room, way, name: way.name, words: way.words ?? way.name.toLowerCase() },
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

/** Pages whose words hold a beginning that was typed. */
export const pagesFor = (text: string): Completion[] =>
  CALLED.filter(({ words }) => ` ${words}`.includes(` ${text}`)).map((called) => ({
    text: called.words,
    says: called.way.asked ? `${called.name}: ${called.way.asked}` : called.name,
    intent: open(called),
  }));

/** Pages that go on from a fact. */
export const pagesFrom = (fact: Fact): Completion[] =>
  CALLED.flatMap((called) => {
    const values = called.way.take?.(fact);
    return values
      ? [{ text: called.words, says: `${called.name}, with this`, intent: open(called, values) }]
      : [];
  });

/** The page that is called by exactly these words or its name, in small letters. */
export const pageCalled = (text: string): Reply | undefined => {
  const called = CALLED.find(({ name, words }) => words === text || name.toLowerCase() === text);
  return called && call(called);
};
