/** Builds the application and the server, packs the files that are sent, and holds the size budgets. */
import { run } from './run.mjs';
import { compress } from './compress.mjs';
import { preloadFonts } from './preload-fonts.mjs';
import { checkSizes } from './sizes.mjs';

run('npm', ['run', 'ng', '-w', 'app', '--', 'build', '--progress=false']);
run('npm', ['run', 'build', '-w', 'server']);
preloadFonts('app/dist');
await compress('app/dist');
checkSizes('app/dist');
