import { formatCard, formatOrder } from '@enumeron/core/deck';

/** How a row's times, cards and packs stand in a file. */
export const inFile = {
  time: (time: number): string => new Date(time).toISOString(),
  formatCard,
  formatOrder,
};
