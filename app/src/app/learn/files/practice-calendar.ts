import { createEvents } from 'ics';

/** A day on which something is to be practised. */
export interface PracticeDay {
  /** The day where the user is. */
  readonly date: Date;
  readonly answers: number;
  readonly minutes: number;
}

/**
 * The coming practice as iCalendar: one all-day entry for each day that has something due.
 *
 * @returns the file's text, or undefined where there is nothing to enter.
 */
export const practiceCalendar = (name: string, days: readonly PracticeDay[]): string | undefined => {
  const events = days
    .filter(({ answers }) => answers > 0)
    .map(({ date, answers, minutes }) => {
      const start = [date.getFullYear(), date.getMonth() + 1, date.getDate()] as [number, number, number];
      const next = new Date(date.getFullYear(), date.getMonth(), date.getDate() + 1);
      const end = [next.getFullYear(), next.getMonth() + 1, next.getDate()] as [number, number, number];
      return {
        ...{ start, end, productId: 'enumeron', uid: `practice-${start.join('-')}@enumeron` },
        title: `${name}: ${minutes.toString()} min`,
        description: `${answers.toString()} answers are due.`,
      };
    });
  if (events.length === 0) return undefined;
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? undefined;
};
