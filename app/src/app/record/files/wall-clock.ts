import type { WallClock } from '@enumeron/core/file/record/files/wallClock';

/** The clock on the wall where the browser is. */
export const WALL_CLOCK: WallClock = {
  shows: (at) => {
    const date = new Date(at);
    return [
      ...([date.getFullYear(), date.getMonth() + 1, date.getDate()] as const),
      ...([date.getHours(), date.getMinutes(), date.getSeconds()] as const),
    ];
  },
  at: ([year, month, ...rest]) => new Date(year, month - 1, ...rest).getTime(),
};
