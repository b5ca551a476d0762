import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import { Notices } from '../platform/notices';
import { packText } from '../platform/packed-text';
import { readTextFile } from '../platform/read-file';
import { OpenedFile } from '../room';
import { PLACES } from '../rooms';

/** What the system hands to an installed application: files that were opened with it. Few browsers have it. */
interface LaunchQueue {
  setConsumer(take: (launch: { readonly files: readonly { getFile(): Promise<File> }[] }) => void): void;
}

const LONGEST = 400_000;

/** The place and page that open a text, by the format that it says it has. */
const placeFor = (text: string): { readonly path: string; readonly opened: OpenedFile } | undefined => {
  const format = /"format"\s*:\s*"([^"]{1,40})"/.exec(text)?.[1] ?? '';
  for (const { path, opens = [] } of PLACES) {
    const opened = opens.find((each) => each.format === format);
    if (opened) return { path, opened };
  }
  return undefined;
};

/** Opens a file where it belongs: to be looked at where it fits an address, else where it is opened by hand. */
export const openFile = async (injector: Injector, file: File): Promise<void> => {
  const router = injector.get(Router);
  const notices = injector.get(Notices);
  const read = await readTextFile(file, LONGEST, 'an order or a procedure');
  const place = read.ok ? placeFor(read.text) : undefined;
  if (!read.ok || !place) {
    void notices.show(read.ok ? `${file.name} is no file of Enumeron.` : sayProblem(read.problems[0]));
    return;
  }
  const { path, opened } = place;
  const address = ['/', path, opened.page].filter((part) => part !== '');
  if (opened.inAddress) await router.navigate(address, { fragment: await packText(read.text) });
  else {
    await router.navigate(address);
    void notices.show(`Open ${file.name} here once more: it may change what is stored.`);
  }
};

/** Takes the files that the system hands over, where the browser knows of that. */
export const takeOpenedFiles = (injector: Injector): void => {
  const { launchQueue } = window as { launchQueue?: LaunchQueue };
  launchQueue?.setConsumer(({ files }) => {
    void Promise.all(files.slice(0, 1).map(async (handle) => openFile(injector, await handle.getFile())));
  });
};
