/** Builds what has changed since the last build, then serves it. */
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

const SOURCES = ['core/src', 'app/src', 'app/public', 'app/angular.json', 'server/src', 'package-lock.json'];

const newest = (path) =>
  statSync(path).isDirectory()
    ? Math.max(...readdirSync(path).map((name) => newest(join(path, name))))
    : statSync(path).mtimeMs;

const server = join(ROOT, 'server/dist/main.mjs');
const page = join(ROOT, 'app/dist/index.html');
const built = [server, page].every((path) => existsSync(path));
const stale = !built || SOURCES.some((path) => newest(join(ROOT, path)) > statSync(page).mtimeMs);
if (stale) run('node', ['scripts/build.mjs', '--quick']);
await import(server);
