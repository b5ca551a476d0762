import { Injector } from '@angular/core';
import type { Night } from '@enumeron/core/file/record/night';
import { Scripts } from '../../platform/scripts';

/** Works out anew what the record says of all that is weighed by it; what does that is loaded first. */
export const refresh = async (
  injector: Injector,
  scripts: Scripts,
  nights?: readonly Night[],
): Promise<void> => {
  try {
    const { Refresh } = await scripts.load(() => import('./refresh'));
    await injector.get(Refresh).run(nights);
  } catch (error) {
    // It is worked out when the room is opened next.
    console.warn(error);
  }
};
