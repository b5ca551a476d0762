/**
 * Builds the application and the server, packs the files that are sent (with --quick less tightly), and holds the size
 * budgets.
 */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';
import { compress } from './compress.mjs';
import { joinScripts } from './join.mjs';
import { preload } from './preload.mjs';
import { addLicences } from './licences.mjs';
import { addServiceWorker } from './offline.mjs';
import { checkSizes } from './sizes.mjs';

run('npm', ['run', 'ng', '-w', 'app', '--', 'build', '--progress=false']);
run('npm', ['run', 'build', '-w', 'server']);
await joinScripts('app/dist');
preload('app/dist');
addLicences('app/dist');
addServiceWorker('app/dist');
await compress('app/dist', { quick: process.argv.includes('--quick') });
checkSizes('app/dist');
// What the build says of itself is not for visitors.
rmSync(join(ROOT, 'app/dist/stats.json'));
