import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { countOf } from '@enumeron/core/deck';
import ICAL from 'ical.js';

/** A day on which something is to be practised. */
export interface PracticeDay {
  /** The day where the user is. */
  readonly date: Date;
  readonly answers: number;
  readonly minutes: number;
}

/** A line may have 75 octets with its end; the library counts those before it. */
const LONGEST_LINE = 74;

/** A text that another order has not, short enough to stand in one line. */
const markOf = (order: string): string => bytesToHex(sha256(utf8ToBytes(order))).slice(0, 24);

const dayOf = (date: Date): ICAL.Time =>
  ICAL.Time.fromData({
    ...{ year: date.getFullYear(), month: date.getMonth() + 1, day: date.getDate() },
    isDate: true,
  });

/**
 * The coming practice as iCalendar: one all-day entry for each day that has something due.
 *
 * @param name the order's. @param order what tells it from every other one: its entries replace none of another.
 * @param now when the file is made.
 * @returns the file's text, or undefined where there is nothing to enter.
 */
export const practiceCalendar = (
  name: string,
  days: readonly PracticeDay[],
  order = name,
  now = new Date(),
): string | undefined => {
  const calendar = new ICAL.Component('vcalendar');
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', '-//enumeron//practice//EN');
  for (const { date, answers, minutes } of days.filter((day) => day.answers > 0)) {
    const component = new ICAL.Component('vevent');
    const event = new ICAL.Event(component);
    event.uid = `practice-${dayOf(date).toString()}-${markOf(order)}@enumeron`;
    event.summary = `${name}: ${minutes.toString()} min`;
    event.description = `${countOf(answers, 'question')} ${answers === 1 ? 'is' : 'are'} up.`;
    event.startDate = dayOf(date);
    event.endDate = dayOf(new Date(date.getFullYear(), date.getMonth(), date.getDate() + 1));
    component.updatePropertyWithValue('dtstamp', ICAL.Time.fromJSDate(now, true));
    calendar.addSubcomponent(component);
  }
  if (calendar.getAllSubcomponents().length === 0) return undefined;
  ICAL.foldLength = LONGEST_LINE;
  return `${calendar.toString()}\r\n`;
};
