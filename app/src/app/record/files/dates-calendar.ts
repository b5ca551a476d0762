import type { Outcome } from '@enumeron/core/deck';
import { sayHits } from '@enumeron/core/file/record/sayNight';
import type { Night } from '@enumeron/core/file/record/night';
import ICAL from 'ical.js';

/** A line may have 75 octets with its end; the library counts those before it. */
const LONGEST_LINE = 74;
/** What a night takes in a calendar where nobody timed it, in minutes. */
const USUAL = 60;
const OWN = '@enumeron';
/** The ids of nights as they can stand in a UID and come back. */
const OWN_UID = /^night-([\w-]{1,64})@enumeron$/;

const uidOf = ({ id, uid }: Night): string => uid ?? `night-${id}${OWN}`;

/** Nights and dates to come as iCalendar. Their UIDs stay: a second import changes and does not double. */
export const datesCalendar = (nights: readonly Night[], now: number): string => {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//enumeron//nights//EN');
  for (const night of nights) {
    const component = new ICAL.Component('vevent');
    const event = new ICAL.Event(component);
    const minutes = night.seconds === undefined ? USUAL : Math.max(1, Math.round(night.seconds / 60));
    event.uid = uidOf(night);
    event.summary = night.name || 'A night';
    if (night.place !== undefined) event.location = night.place;
    const said = [sayHits(night) && `${sayHits(night)} hit.`, night.note ?? ''].filter((part) => part !== '');
    if (said.length > 0) event.description = said.join(' ');
    event.startDate = ICAL.Time.fromJSDate(new Date(night.at), true);
    event.endDate = ICAL.Time.fromJSDate(new Date(night.at + minutes * 60_000), true);
    const changed = new Date(night.changed ?? night.at);
    component.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(now), true));
    component.updatePropertyWithValue('last-modified', ICAL.Time.fromJSDate(changed, true));
    calendar.addSubcomponent(component);
  }
  ICAL.foldLength = LONGEST_LINE;
  return `${calendar.toString()}\r\n`;
};

/** A short id for what another calendar calls otherwise: the same for the same. */
const idFor = (uid: string): string => {
  const own = OWN_UID.exec(uid)?.[1];
  if (own !== undefined) return own;
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let at = 0; at < uid.length; at++) {
    a = Math.imul(a ^ uid.charCodeAt(at), 0x01000193);
    b = Math.imul(b ^ uid.charCodeAt(at), 0x85ebca6b);
  }
  return `date-${(a >>> 0).toString(36)}${(b >>> 0).toString(36)}`;
};

const MOST_EVENTS = 5000;

/**
 * Reads the dates of a calendar: what is here already keeps all that a calendar does not know.
 *
 * @param here every night that is here, by its id. @param now when it is read, in milliseconds.
 */
export const readDates = (
  text: string,
  here: ReadonlyMap<string, Night>,
  now: number,
): Outcome<{ readonly nights: readonly Night[] }> => {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    const events = calendar.getAllSubcomponents('vevent').slice(0, MOST_EVENTS);
    const nights = events.flatMap((component): Night[] => {
      const event = new ICAL.Event(component);
      // One of a row of repeated dates stands for itself; what was called off is none.
      const start = event.startDate as ICAL.Time | null;
      if (!start || !event.uid || component.getFirstPropertyValue('status') === 'CANCELLED') return [];
      const id = idFor(event.uid);
      const before = here.get(id);
      const night: Night = {
        ...{ id, real: true, audience: '', done: [], name: '' },
        ...before,
        at: start.toJSDate().getTime(),
        ...(event.summary && { name: event.summary.slice(0, 200) }),
        ...(event.location && { place: event.location.slice(0, 200) }),
        ...(!OWN_UID.test(event.uid) && { uid: event.uid.slice(0, 400) }),
      };
      // What it was called stays where only the calendar’s stand-in for it comes back.
      const named: Night = before?.name === '' && night.name === 'A night' ? { ...night, name: '' } : night;
      return before && isSame(before, named)
        ? []
        : [{ ...named, changed: Math.max(now, (before?.changed ?? 0) + 1) }];
    });
    return { ok: true, nights };
  } catch {
    return {
      ok: false,
      problems: [{ where: 'File', what: 'This is no calendar.', remedy: 'Choose an .ics file.' }],
    };
  }
};

const isSame = (a: Night, b: Night): boolean => {
  // A calendar keeps whole seconds.
  const second = ({ at }: Night): number => Math.floor(at / 1000);
  return second(a) === second(b) && a.name === b.name && a.place === b.place && a.uid === b.uid;
};
