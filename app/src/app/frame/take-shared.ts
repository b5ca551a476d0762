import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { Notices } from '../platform/notices';
import { unpackText } from '../platform/packed-text';
import { roomAt } from '../rooms';

/** Takes over what an address brings to the room that it opens; the address is without it then. */
export const takeShared = async (injector: Injector, url: string): Promise<void> => {
  const sharing = await roomAt(url)?.sharing?.();
  if (!sharing?.take) return;
  const whole = new URL(url, location.origin);
  const fragment = whole.hash.slice(1);
  const packed = fragment === '' ? undefined : await unpackText(fragment);
  const notices = injector.get(Notices);
  if (fragment !== '' && packed === undefined) {
    void notices.show(
      'Part of this address is missing. It may have been cut off on its way: ask for it again.',
    );
    return;
  }
  if (!sharing.take(injector, whole, packed)) return;
  await injector.get(Router).navigateByUrl(whole.pathname, { replaceUrl: true });
  void notices.show('This is what was shared with you. Undo brings back what was here.');
};
