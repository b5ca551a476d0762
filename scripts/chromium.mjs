/** Which Chromium the browser tests drive: the one named by CHROMIUM, or Debian's. It uses no package. */
import { existsSync } from 'node:fs';

/** Debian's package of a Chromium without a window, and what it is called there. */
export const HEADLESS = 'chromium-headless-shell';

/** The path of the Chromium to drive, or undefined where there is none. */
export const chromiumPath = () =>
  process.env.CHROMIUM ?? [`/usr/bin/${HEADLESS}`, '/usr/bin/chromium'].find((path) => existsSync(path));
