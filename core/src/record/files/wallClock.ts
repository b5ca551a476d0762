/** A moment as a clock on the wall shows it, month and day from 1. */
export type WallTime = readonly [
  year: number,
  month: number,
  day: number,
  hours: number,
  minutes: number,
  seconds: number,
];

/** The clock on the wall where the user is: moments are in milliseconds since 1970. */
export interface WallClock {
  shows(at: number): WallTime;
  at(time: WallTime): number;
}

/** How many days a month has. @param month from 1. */
const daysIn = (year: number, month: number): number => {
  const isLeap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return month === 2 ? (isLeap ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;
};

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day as people write it: `2026-11-20`, `20/11/2026`, `20.11.26`, `20 Nov 2026`; the day stands before the month. */
export const parseDay = (text: string): readonly [year: number, month: number, day: number] | undefined => {
  const written = text.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(written);
  const plain = /^(\d{1,2})[/.](\d{1,2})[/.](\d{4}|\d{2})$/.exec(written);
  const named = /^(?:[a-z]+,? )?(\d{1,2})\.? ([a-z]{3})[a-z]*\.? (\d{4})$/i.exec(written);
  const parts = iso
    ? [Number(iso[1]), Number(iso[2]), Number(iso[3])]
    : plain
      ? [Number(plain[3]) + (plain[3].length === 2 ? 2000 : 0), Number(plain[2]), Number(plain[1])]
      : named
        ? [Number(named[3]), MONTHS.indexOf(named[2].toLowerCase()) + 1, Number(named[1])]
        : undefined;
  if (!parts) return undefined;
  const [year, month, day] = parts;
  return month >= 1 && month <= 12 && day >= 1 && day <= daysIn(year, month) ? [year, month, day] : undefined;
};

/** A time of day: `21:30`, `21.30`, `9:30 pm`. */
export const parseClock = (
  text: string,
): readonly [hours: number, minutes: number, seconds: number] | undefined => {
  const found = /^(\d{1,2})(?:[:.](\d{2})(?:[:.](\d{2}))?)?\s*(am|pm)?$/i.exec(text.trim());
  if (!found) return undefined;
  const [, hours, minutes = '0', seconds = '0', half = ''] = found;
  const noon = half.toLowerCase() === 'pm' ? 12 : 0;
  const hour = half === '' ? Number(hours) : (Number(hours) % 12) + noon;
  return hour < 24 && Number(minutes) < 60 && Number(seconds) < 60
    ? [hour, Number(minutes), Number(seconds)]
    : undefined;
};
