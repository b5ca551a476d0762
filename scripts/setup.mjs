/**
 * What `npm start` and `npm test` need on a fresh machine: the packages that building and running need, and with
 * --browser those that testing needs, too, and a Chromium. It does nothing when they are there. It uses no package,
 * since none may be installed yet.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { chromiumPath, HEADLESS } from './chromium.mjs';
import { ROOT, run } from './run.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Enumeron needs Node 20.19 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

const stamp = join(ROOT, 'node_modules/.enumeron-stamp');
const wanted = createHash('sha256')
  .update(readFileSync(join(ROOT, 'package-lock.json')))
  .update(process.version)
  .digest('hex');

const forTests = process.argv.includes('--browser');
/** All packages serve for running, too. */
const enough = forTests ? [`${wanted} all`] : [`${wanted} all`, `${wanted} run`];

if (!existsSync(stamp) || !enough.includes(readFileSync(stamp, 'utf8'))) {
  console.log('Installing the packages of the lock file …');
  run('npm', ['ci', forTests ? '--include=dev' : '--omit=dev', '--no-progress', '--no-audit', '--no-fund']);
  writeFileSync(stamp, enough.at(-1));
}

if (forTests && !process.env.CHROMIUM) setUpChromium(chromiumPath());

/** Installs Debian's Chromium without a window, which takes two thirds of the time; one that is there does as well. */
function setUpChromium(there) {
  if (there?.endsWith(HEADLESS)) return;
  if (spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status !== 0 || process.getuid?.() !== 0) {
    if (there) return;
    console.error(
      `The browser tests need Chromium. Install it (Debian: apt-get install ${HEADLESS}, as root), ` +
        'or set CHROMIUM to the path of one.',
    );
    process.exit(1);
  }
  console.log('Installing Chromium …');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = ['install', '-y', '-qq', '--no-install-recommends', HEADLESS];
  for (const args of [['update', '-qq'], install])
    if (there) spawnSync('apt-get', args, { env, stdio: ['ignore', 'inherit', 'inherit'] });
    else run('apt-get', args, { env });
}
