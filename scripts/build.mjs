/**
 * Builds the application and the server, packs the files that are sent, and holds the size budgets. With --quick, for who
 * only wants to run it: types are not checked once more, files are packed less tightly, and nobody weighs them.
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

const quick = process.argv.includes('--quick');
if (quick) process.env['NG_BUILD_TYPE_CHECK'] = '0';
run('npm', ['run', 'ng', '-w', 'app', '--', 'build', '--progress=false']);
run('npm', ['run', 'build', '-w', 'server']);
await joinScripts('app/dist', { quick });
preload('app/dist');
addLicences('app/dist');
addServiceWorker('app/dist');
await compress('app/dist', { quick });
if (!quick) checkSizes('app/dist');
// What the build says of itself is not for visitors.
rmSync(join(ROOT, 'app/dist/stats.json'));
