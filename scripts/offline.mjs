import { copyFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

const PACKAGE = 'node_modules/@angular/service-worker';

/**
 * Adds the service worker and its list of files. Call it when every file is as it is served, and before they are packed: a
 * file that is not as the list says would switch the worker off.
 */
export const addServiceWorker = (folder) => {
  copyFileSync(join(ROOT, PACKAGE, 'ngsw-worker.js'), join(ROOT, folder, 'ngsw-worker.js'));
  run('node', [join(PACKAGE, 'ngsw-config.js'), folder, 'app/ngsw-config.json', '/']);
};
