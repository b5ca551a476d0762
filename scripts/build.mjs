/** Builds the application and the server, packs the files that are sent, and holds the size budgets. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';
import { compress } from './compress.mjs';
import { preload } from './preload.mjs';
import { addLicences } from './licences.mjs';
import { checkSizes } from './sizes.mjs';

// The bundler's own splitting leaves dozens of tiny scripts to fetch; Angular's second pass joins them.
const env = { ...process.env, NG_BUILD_OPTIMIZE_CHUNKS: '1' };
run('npm', ['run', 'ng', '-w', 'app', '--', 'build', '--progress=false'], { env });
run('npm', ['run', 'build', '-w', 'server']);
preload('app/dist');
addLicences('app/dist');
await compress('app/dist');
checkSizes('app/dist');
// What the build says of itself is not for visitors.
rmSync(join(ROOT, 'app/dist/stats.json'));
