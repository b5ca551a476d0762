import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { formatCard, sayProblem, showCard } from '@enumeron/core/deck';
import { imageOf, LONGEST_IMAGE } from '../../nouns/learning/images.kind';
import { CardText } from '../../ui/card-text';
import { download } from '../../platform/download';
import { once } from '../../platform/once';
import { readTextFile } from '../../platform/read-file';
import { Scripts } from '../../platform/scripts';
import { ImagesStore } from '../../nouns/learning/images.store';
import { LearnStore } from '../../nouns/learning/learn.store';

/** The largest file with images, in bytes. */
const LARGEST_FILE = 100_000;

/** The user's own memory images: a few words for each number and each card of the order, in one table. */
@Component({
  selector: 'en-images',
  imports: [CardText, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './images.html',
  styleUrls: ['../../ui/page.scss', './images.scss'],
})
export class Images {
  protected readonly store = inject(LearnStore);
  protected readonly images = inject(ImagesStore);
  private readonly scripts = inject(Scripts);

  protected readonly longest = LONGEST_IMAGE;
  protected readonly notes = signal<readonly string[]>([]);
  protected readonly rows = computed(() => {
    const all = this.images.all();
    return this.store.order().map((card, index) => {
      const place = (index + 1).toString();
      const [cardId, numberId] = [imageOf('card', formatCard(card)), imageOf('number', place)];
      return {
        ...{ place, card: showCard(card), cardId, numberId },
        ...{ ofCard: all.get(cardId) ?? '', ofNumber: all.get(numberId) ?? '' },
      };
    });
  });

  protected set(id: string, words: string): void {
    if ((this.images.all().get(id) ?? '') !== words.trim()) this.images.set(new Map([[id, words]]));
  }

  protected readonly save = once('save the images', async () => {
    const { imagesCsv } = await this.scripts.load(() => import('../files/images-csv'));
    download(imagesCsv(this.images.all()), 'memory images.csv', 'text/csv');
  });

  protected readonly load = once('read images', async (input: HTMLInputElement) => {
    const file = input.files?.item(0);
    input.value = '';
    if (!file) return;
    const [{ parseImagesCsv }, text] = await Promise.all([
      this.scripts.load(() => import('../files/images-csv')),
      readTextFile(file, LARGEST_FILE, 'memory images'),
    ]);
    if (!text.ok) {
      this.notes.set(text.problems.map(sayProblem));
      return;
    }
    const { images, problems } = parseImagesCsv(text.text);
    if (images.size > 0) this.images.set(images);
    this.notes.set([
      images.size === 1
        ? 'One image was read.'
        : `${images.size.toString()} images were read; Ctrl Z takes them back.`,
      ...problems,
    ]);
  });
}
