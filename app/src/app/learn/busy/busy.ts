import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LearnStore } from '../../nouns/learning/learn.store';

/** What is practised while the hands, or the eyes, are busy. */
@Component({
  selector: 'en-busy',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="busy-title">
    <h2 id="busy-title">Hands busy, {{ store.name() }}</h2>
    <p class="lead">
      The screen stays on where the browser can keep it so; a call or another tab pauses the voice.
    </p>
    <ul>
      @for (each of ways; track each.path) {
        <li>
          <a [routerLink]="['/learn/busy', each.path, 'practise']">{{ each.name }}</a>
          <span>{{ each.says }}</span>
        </li>
      }
    </ul>
  </section>`,
  styleUrl: '../../ui/page.scss',
  styles: `
    ul {
      max-width: 60ch;
      margin: 1rem 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      padding: 10px 0 14px;
      border-top: 1px solid var(--line);
      color: var(--muted);
    }
    a {
      display: grid;
      align-items: center;
      min-height: 44px;
      color: var(--petrol);
      font: 700 1.3rem var(--heading);
    }
  `,
})
export class Busy {
  protected readonly store = inject(LearnStore);
  protected readonly ways = [
    {
      ...{ path: 'spoken', name: 'Spoken' },
      says:
        'A voice of this device asks, waits, and says the answer: on the way, or with the pack in both hands. ' +
        'Nothing is noted.',
    },
    {
      ...{ path: 'deal', name: 'Deal along' },
      says:
        'Say the next card, turn it on the real pack, and mark it right or wrong with one key or a tap on that ' +
        'half of the screen.',
    },
    {
      ...{ path: 'glimpse', name: 'Glimpse' },
      says: 'A card is seen for half a second, like the real thing; the answer is typed.',
    },
    {
      ...{ path: 'heaps', name: 'Track the heaps' },
      says:
        'Single cards go from heap to heap, a move at a time; say at the end where the wanted cards lie. Rows get ' +
        'longer as you get surer. The heaps are those of your busy row.',
    },
  ] as const;
}
