import { afterRenderEffect, computed, DestroyRef, inject, Injector } from '@angular/core';
import type { DragRef, DropListRef } from '@angular/cdk/drag-drop';
import { Scripts } from '../platform/scripts';

/** So long there have been no other lines, in milliseconds, before they can be dragged. */
const REST = 200;

/** What lines of a list are dragged by, and where they are dropped. */
export interface Dragged {
  /** The list, once it is there. */
  list(): HTMLElement;
  /** A text that changes whenever there are other lines. */
  key(): string;
  /** The line of that path now goes to be line number `index`. */
  dropped(path: string, index: number): void;
}

/**
 * Has the lines of a list dragged by their numbers. What that takes comes by itself, behind the list: its keyboard twin
 * is there before it. Call it in a component's constructor.
 */
export const dragLines = ({ list, key, dropped }: Dragged): void => {
  const [injector, scripts] = [inject(Injector), inject(Scripts)];
  let [refs, drop]: [readonly DragRef[], DropListRef | undefined] = [[], undefined];
  let gone = false;
  const end = (): void => {
    refs.forEach((ref) => ref.dispose());
    drop?.dispose();
    [refs, drop] = [[], undefined];
  };
  const begin = async (): Promise<void> => {
    const { createDragRef, createDropListRef } = await scripts.load(() => import('@angular/cdk/drag-drop'));
    end();
    if (gone) return;
    const place = createDropListRef(injector, list());
    refs = [...list().querySelectorAll<HTMLElement>('.line')].map((line) => {
      const ref = createDragRef<string>(injector, line);
      const handle = line.querySelector<HTMLElement>('.number');
      ref.data = line.dataset['line'] ?? '';
      ref.disabled = !line.classList.contains('step');
      return handle ? ref.withHandles([handle]) : ref;
    });
    place.withItems([...refs]);
    place.dropped.subscribe(({ item, previousIndex, currentIndex }) => {
      if (previousIndex !== currentIndex) dropped(item.data as string, currentIndex);
    });
    drop = place;
  };
  const lines = computed(key);
  afterRenderEffect({
    read: (onCleanup) => {
      lines();
      const resting = setTimeout(() => {
        // One cannot drag without it; all else works.
        begin().catch((error: unknown) => console.warn(error));
      }, REST);
      onCleanup(() => clearTimeout(resting));
    },
  });
  inject(DestroyRef).onDestroy(() => {
    gone = true;
    end();
  });
};
