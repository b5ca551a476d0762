import { Values } from '@enumeron/core/form';
import { Fact } from '@enumeron/core/reckon/facts';
import { ROOMS } from '../../rooms';
import { Room, WayIn } from '../../room';
import { Completion, Intent, Reply } from './reply';

/** Every way into a room, with the room. */
const WAYS_IN = ROOMS.flatMap((room) => (room.ways ?? []).map((way) => ({ room, way })));

const openWay = (room: Room, way: WayIn, values?: Values): Intent => ({
  do: 'open',
  room,
  way,
  ...(values ? { values } : {}),
});

/** What a way's own words are answered with. */
const callWay = (room: Room, way: WayIn): Reply => ({
  intent: openWay(room, way),
  says: `Open ${way.name}`,
  note: way.seen && `Seen: ${way.seen}. Asked: ${way.asked}.`,
  completions: [],
});

/** Ways in whose words hold a beginning that was typed. */
export const waysFor = (text: string): Completion[] =>
  WAYS_IN.filter(({ way: { words } }) => ` ${words}`.includes(` ${text}`)).map(({ room, way }) => ({
    text: way.words,
    says: way.asked ? `${way.name}: ${way.asked}` : way.name,
    intent: openWay(room, way),
  }));

/** Ways in that go on from a fact. */
export const waysFrom = (fact: Fact): Completion[] =>
  WAYS_IN.flatMap(({ room, way }) => {
    const values = way.take?.(fact);
    return values
      ? [{ text: way.words, says: `${way.name}, with this`, intent: openWay(room, way, values) }]
      : [];
  });

/** The way in that is called by exactly these words, in small letters. */
export const wayCalled = (text: string): Reply | undefined => {
  const called = WAYS_IN.find(({ way }) => way.words === text);
  return called && callWay(called.room, called.way);
};
