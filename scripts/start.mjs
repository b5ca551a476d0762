/** Builds what has changed since the last build, then serves it. */
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

const SOURCES = ['core/src', 'app/src', 'app/public', 'app/angular.json', 'server/src', 'package-lock.json'];

const newest = (path) =>
  statSync(path).isDirectory()
    ? Math.max(...readdirSync(path).map((name) => newest(join(path, name))))
    : statSync(path).mtimeMs;

const built = join(ROOT, 'server/dist/main.mjs');
const stale =
  !existsSync(built) || SOURCES.some((path) => newest(join(ROOT, path)) > statSync(built).mtimeMs);
if (stale) run('node', ['scripts/build.mjs']);
await import(built);
