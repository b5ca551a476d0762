import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { ROOT } from './run.mjs';

const PACKED = /\.(?:js|css|html|svg|json|webmanifest)$/;

/** The highest quality takes four times as long as this one, for files that are a twelfth smaller. */
const QUICK = 9;

/**
 * Writes a .gz and a .br beside every text file of a folder, for a server that sends them as they are; as small as can be
 * unless it is to be quick.
 */
export const compress = async (folder, { quick = false } = {}) => {
  const quality = quick ? QUICK : constants.BROTLI_MAX_QUALITY;
  const names = await readdir(join(ROOT, folder), { recursive: true });
  await Promise.all(
    names
      .filter((name) => PACKED.test(name))
      .map(async (name) => {
        const path = join(ROOT, folder, name);
        const text = await readFile(path);
        await Promise.all([
          promisify(gzip)(text, { level: 9 }).then((packed) => writeFile(`${path}.gz`, packed)),
          promisify(brotliCompress)(text, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }).then(
            (packed) => writeFile(`${path}.br`, packed),
          ),
        ]);
      }),
  );
};
