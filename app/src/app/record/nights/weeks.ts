/** A day of a month’s sheet. */
export interface CalendarDay {
  readonly year: number;
  /** From 0. */
  readonly month: number;
  readonly day: number;
  /** Whether it belongs to the month that is shown. */
  readonly isInside: boolean;
}

/** The weeks of a month, Monday first, with the days beside it that fill them. @param month from 0. */
export const weeksOf = (year: number, month: number): readonly (readonly CalendarDay[])[] => {
  const first = new Date(Date.UTC(year, month, 1));
  const lead = (first.getUTCDay() + 6) % 7;
  const days = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  const weeks = Math.ceil((lead + days) / 7);
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: 7 }, (__, weekday) => {
      const date = new Date(Date.UTC(year, month, 1 - lead + 7 * week + weekday));
      return {
        ...{ year: date.getUTCFullYear(), month: date.getUTCMonth(), day: date.getUTCDate() },
        isInside: date.getUTCMonth() === first.getUTCMonth(),
      };
    }),
  );
};
