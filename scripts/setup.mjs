/**
 * What `npm start` and `npm test` need on a fresh machine: the packages of the lock file and, with --browser,
 * a Chromium. It does nothing when they are there. It uses no package, since none may be installed yet.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
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

if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== wanted) {
  console.log('Installing the packages of the lock file …');
  run('npm', ['ci', '--include=dev', '--no-progress']);
  writeFileSync(stamp, wanted);
}

const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';
if (process.argv.includes('--browser') && !existsSync(chromium)) {
  if (spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status !== 0 || process.getuid?.() !== 0) {
    console.error(
      `The browser tests need Chromium at ${chromium}. Install it (Debian: apt-get install chromium, as root), ` +
        'or set CHROMIUM to the path of one.',
    );
    process.exit(1);
  }
  console.log('Installing Chromium …');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env });
}
