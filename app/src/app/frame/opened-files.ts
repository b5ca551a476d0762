import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { Notices } from '../platform/notices';
import { packText } from '../platform/packed-text';
import { readTextFile } from '../platform/read-file';

/** What the system hands to an installed application: files that were opened with it. Few browsers have it. */
interface LaunchQueue {
  setConsumer(take: (launch: { readonly files: readonly { getFile(): Promise<File> }[] }) => void): void;
}

const LONGEST = 400_000;

/** Where a file is looked at before it is kept, by its format; undefined where it is no order and no procedure. */
const roomOf = (text: string): string | undefined => {
  const format = /"format"\s*:\s*"([^"]{1,40})"/.exec(text)?.[1];
  if (format === 'enumeron procedure') return '/rehearse/shared';
  return format === 'enumeron-order' || format === undefined ? '/arrange/shared' : undefined;
};

/** Opens a file where it belongs: an order and a procedure to be looked at, anything else where it is restored or opened. */
export const openFile = async (injector: Injector, file: File): Promise<void> => {
  const router = injector.get(Router);
  const read = await readTextFile(file, LONGEST, 'an order or a procedure');
  const room = read.ok ? roomOf(read.text) : undefined;
  if (read.ok && room !== undefined) {
    await router.navigate([room], { fragment: await packText(read.text) });
    return;
  }
  const isBundle = read.ok && read.text.includes('"enumeron procedures"');
  await router.navigate(isBundle ? ['/rehearse'] : ['/settings'], isBundle ? {} : { fragment: 'data' });
  void injector.get(Notices).show(`Open ${file.name} here once more: it may change what is stored.`);
};

/** Takes the files that the system hands over, where the browser knows of that. */
export const takeOpenedFiles = (injector: Injector): void => {
  const { launchQueue } = window as { launchQueue?: LaunchQueue };
  launchQueue?.setConsumer(({ files }) => {
    void Promise.all(files.slice(0, 1).map(async (handle) => openFile(injector, await handle.getFile())));
  });
};
