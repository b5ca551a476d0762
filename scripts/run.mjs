import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the project with no standard input (so that no prompt can hang); stops on failure. */
export const run = (command, args, options = {}) => {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit'],
    ...options,
  });
  if (error || status !== 0) {
    console.error(`Failed: ${command} ${args.join(' ')}`);
    process.exit(status ?? 1);
  }
};
