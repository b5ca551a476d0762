import { effect, inject } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { titleOf } from './title-of';

/**
 * Names the window after what is open, also when that gets another name. Call it in an injection context, in a view
 * whose page has no name of its own.
 *
 * @param place the room. @param name of what is open; undefined while that is not known.
 */
export const titled = (place: string, name: () => string | undefined): void => {
  const title = inject(Title);
  effect(() => title.setTitle(titleOf(name(), place)));
};
