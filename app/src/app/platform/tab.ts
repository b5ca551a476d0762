import { Injectable } from '@angular/core';
import { secureOnly } from './secure-only';
import { newId } from './new-id';

const KEY = 'enumeron-tab';
const LOCK = 'enumeron-tab ';

/** How long the page before a reload may take to give its tab's lock up, in milliseconds. */
const HANDOVER = 300;

const remembered = (): string | undefined => {
  try {
    return sessionStorage.getItem(KEY) ?? undefined;
  } catch {
    return undefined;
  }
};

const remember = (id: string): void => {
  try {
    sessionStorage.setItem(KEY, id);
  } catch {
    // Without it a reloaded tab is a new one, and is offered what the one before it left.
  }
};

/** Holds a tab's lock for as long as the page lives; false when another tab holds it. */
const hold = (manager: LockManager, id: string): Promise<boolean> =>
  new Promise((resolve) => {
    void manager.request(LOCK + id, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });

/** Which tab this is: the same after a reload, another in a tab that was duplicated. */
@Injectable({ providedIn: 'root' })
export class Tab {
  readonly id: Promise<string> = this.choose();

  /** The ids of the tabs that are open now; undefined where the browser cannot tell. */
  async open(): Promise<ReadonlySet<string> | undefined> {
    const query = await secureOnly().locks?.query();
    return query && new Set(query.held?.map(({ name = '' }) => name.slice(LOCK.length)));
  }

  private async choose(): Promise<string> {
    const [known, manager] = [remembered(), secureOnly().locks];
    if (known !== undefined && (!manager || (await this.taken(manager, known)))) return known;
    const id = newId();
    remember(id);
    if (manager) await hold(manager, id);
    return id;
  }

  private async taken(manager: LockManager, id: string): Promise<boolean> {
    if (await hold(manager, id)) return true;
    await new Promise((resolve) => setTimeout(resolve, HANDOVER));
    return hold(manager, id);
  }
}
