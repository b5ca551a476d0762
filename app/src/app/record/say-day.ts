import { formatDate } from '@angular/common';

const LOCALE = 'en-GB';

/** A day as it stands in lists: `20 Nov`. */
export const sayDay = (at: number): string => formatDate(at, 'd MMM', LOCALE);

/** A day in full: `Friday 20 November 2026`. */
export const sayFullDay = (at: number): string => formatDate(at, 'EEEE d MMMM y', LOCALE);

/** A day with its year: `20 Nov 2026`. */
export const sayDate = (at: number): string => formatDate(at, 'd MMM y', LOCALE);

/** A day with its year where that is not this one. */
export const sayShortDate = (at: number, now: number): string =>
  new Date(at).getFullYear() === new Date(now).getFullYear() ? sayDay(at) : sayDate(at);

/** The time of day: `21:30`. */
export const sayClock = (at: number): string => formatDate(at, 'HH:mm', LOCALE);

/** A moment as a field of date and time takes it: `2026-11-20T21:30`. */
export const fieldOf = (at: number): string => formatDate(at, "y-MM-dd'T'HH:mm", LOCALE);
