import { computed, inject, Injectable } from '@angular/core';
import { formatCard, Order, placeOf as placeIn } from '@enumeron/core/deck';
import { Item, promptOf } from '@enumeron/core/learn';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { imageOf, ImageRow, IMAGES, LONGEST_IMAGE } from './images.kind';
import { liveRows } from '../../storage/live-rows';

/** The user's own memory images of cards and numbers, live; they belong to no order. */
@Injectable()
export class ImagesStore {
  private readonly journal = inject(Journal);
  private readonly stored = liveRows(IMAGES);

  readonly isRead = computed(() => this.stored() !== undefined);
  readonly all = computed<ReadonlyMap<string, string>>(
    () => new Map((this.stored() ?? []).map(({ id, words }) => [id, words])),
  );

  /** The images of what an item shows and of the number that belongs to it, as a hint; empty where there are none. */
  hintFor(item: Item, order: Order): string {
    const prompt = promptOf(item, order);
    const own =
      prompt.kind === 'cards'
        ? this.all().get(imageOf('card', formatCard(item.card)))
        : this.all().get(imageOf('number', (placeIn(order, item.card) ?? 0).toString()));
    const other =
      prompt.kind === 'cards' && item.direction === 'number'
        ? this.all().get(imageOf('number', (placeIn(order, item.card) ?? 0).toString()))
        : item.direction === 'card'
          ? this.all().get(imageOf('card', formatCard(item.card)))
          : undefined;
    return [own, other].filter((words) => words !== undefined).join(' · ');
  }

  /** Changes images; empty words take one away. */
  set(images: ReadonlyMap<string, string>): void {
    const ids = [...images.keys()];
    void this.journal.commit(
      ids.length === 1 ? 'change a memory image' : 'change memory images',
      ids.map((id) => placeOf(IMAGES, id)),
      () =>
        ids.map((id): ImageRow | undefined => {
          const words = (images.get(id) ?? '').trim().slice(0, LONGEST_IMAGE);
          return words === '' ? undefined : { id, words };
        }),
      // What is typed into one field is one change.
      ids.length === 1 ? `image ${ids[0]}` : undefined,
    );
  }
}
