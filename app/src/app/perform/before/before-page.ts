import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { CAUTIONS } from '@enumeron/core/file/perform/routine';
import { laidFor } from '@enumeron/core/file/perform/need';
import { sayNeed, sayState } from '@enumeron/core/file/perform/say';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { CardText } from '../../ui/card-text';
import { titled } from '../../ui/titled';
import { Facts } from '../facts';
import { SetDesk } from '../sets/set-desk';
import { Ticks } from './ticks';

/** One thing to look at before one goes on. */
interface Item {
  readonly id: string;
  readonly says: string;
  /** What it is for. */
  readonly note?: string;
}

interface Part {
  readonly name: string;
  readonly items: readonly Item[];
}

/** Before you go on: a checklist made from a set, ticked off, and the dressing table on paper. */
@Component({
  selector: 'en-before-page',
  imports: [CardText, MatButton, RouterLink],
  providers: [SetDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (desk.set(); as set) {
      <section>
        <h2>Before you go on: {{ set.name }}</h2>
        <p class="lead">{{ says() }} <a [routerLink]="['/perform', desk.id()]">The set</a></p>
        <p class="left" aria-live="polite">{{ left() }}</p>
        @for (part of parts(); track part.name) {
          <h3>{{ part.name }}</h3>
          <ul>
            @for (item of part.items; track item.id) {
              <li>
                <label>
                  <input type="checkbox" [checked]="ticked().has(item.id)" (change)="tick(item.id)" />
                  <span>
                    <en-card-text [text]="item.says" />
                    @if (item.note) {
                      <small><en-card-text [text]="item.note" /></small>
                    }
                  </span>
                </label>
              </li>
            }
          </ul>
        }
        <p class="ways">
          <button mat-flat-button type="button" (click)="print()">Lay out the dressing table on paper</button>
          <button mat-stroked-button type="button" [disabled]="ticked().size === 0" (click)="beginAnew()">
            Begin anew
          </button>
        </p>
      </section>
    } @else if (desk.isRead()) {
      <section>
        <h2>There is no such set</h2>
        <p class="lead">
          It may have been removed; undo brings it back. <a routerLink="/perform">All sets</a>
        </p>
      </section>
    }`,
  styleUrl: '../../ui/page.scss',
  styles: `
    a {
      color: var(--petrol);
    }
    .left {
      margin: 0 0 6px;
      font: 700 1.35rem var(--heading);
    }
    h3 {
      margin: 1.2rem 0 0.2rem;
    }
    ul {
      max-width: 52rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      border-top: 1px solid var(--line-faint);
    }
    label {
      display: flex;
      gap: 12px;
      align-items: center;
      min-height: 48px;
      padding: 4px 0;
      cursor: pointer;
    }
    input {
      flex: none;
      width: 22px;
      height: 22px;
      accent-color: var(--petrol);
    }
    small {
      display: block;
      color: var(--muted);
      font-size: 0.9rem;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      margin: 1.2rem 0 0;
    }
  `,
})
export class BeforePage {
  protected readonly desk = inject(SetDesk);
  private readonly facts = inject(Facts);
  private readonly ticks = inject(Ticks);

  readonly id = input.required<string>();
  protected readonly ticked = computed(() => this.ticks.of(this.id()));

  protected readonly says = computed(() => {
    const { length } = this.desk.lines();
    const interval = this.desk.interval();
    return `${countOf(length, 'routine')}, ${countOf(this.desk.minutes(), 'minute')}${interval === undefined ? '' : `, an interval after ${countOf(interval, 'routine')}`}.`;
  });
  protected readonly parts = computed((): readonly Part[] =>
    [
      { name: 'Packs', items: this.packs() },
      { name: 'Props', items: this.props() },
      { name: 'Set up before', items: this.setUps() },
      { name: 'Care', items: this.care() },
      { name: 'You', items: YOU },
    ].filter(({ items }) => items.length > 0),
  );
  protected readonly left = computed(() => {
    const items = this.parts().flatMap(({ items: all }) => all);
    const open = items.filter(({ id }) => !this.ticked().has(id)).length;
    return open === 0 ? 'All is ready' : `${open.toString()} of ${items.length.toString()} to look at`;
  });

  constructor() {
    titled('Perform', () => {
      const name = this.desk.set()?.name;
      return name && `Before you go on · ${name}`;
    });
    effect(() => {
      const id = this.id();
      untracked(() => this.desk.id.set(id));
    });
  }

  /** Each pack, laid as the first routine that uses it needs it, as its procedure says; and its spares. */
  private packs(): readonly Item[] {
    return this.desk.packs().flatMap(({ name, home, spares }) => {
      const first = this.desk.lines().find(({ facts }) => facts.some(({ pack }) => pack === name));
      const need = first?.facts.find(({ pack }) => pack === name)?.needs;
      // An order says all; a bank, or cards laid as only the procedure says, do not.
      const setUp =
        need?.kind === 'home' ? undefined : this.facts.procedure(first?.row?.procedure)?.['set-up'];
      const lies =
        need?.kind === 'home'
          ? `${home.name} ${sayState(laidFor(need, home.cards), home)}`
          : need && sayNeed(need, home);
      const item: Item = {
        ...{ id: `pack ${name}`, says: lies === undefined ? name : `${name}: ${lies}` },
        ...(first && { note: `for ${first.name}${setUp ? `. ${setUp}` : ''}` }),
      };
      const ready = `${countOf(spares, 'spare pack')} of ${name}, laid the same`;
      return spares === 0 ? [item] : [item, { id: `spares ${name}`, says: ready }];
    });
  }

  private props(): readonly Item[] {
    return this.desk
      .lines()
      .flatMap(({ id, name, row }): Item[] =>
        row && row.routine.props.trim() !== ''
          ? [{ id: `props ${id}`, says: row.routine.props.trim(), note: `for ${name}` }]
          : [],
      );
  }

  private setUps(): readonly Item[] {
    return this.desk.lines().flatMap(({ id, name, row }): Item[] => {
      if (row?.routine.setUp === 'before')
        return [{ id: `set-up ${id}`, says: name, note: row.routine.notes.split('\n')[0] }];
      return row?.routine.setUp === 'borrowed'
        ? [{ id: `set-up ${id}`, says: `${name}: borrow what it takes` }]
        : [];
    });
  }

  private care(): readonly Item[] {
    return this.desk.lines().flatMap(({ id, name, row }) =>
      (row?.routine.cautions ?? []).map((caution) => ({
        ...{ id: `care ${id} ${caution}`, says: CAUTIONS[caution], note: name },
      })),
    );
  }

  protected tick(id: string): void {
    this.ticks.toggle(this.id(), id);
  }

  protected beginAnew(): void {
    this.ticks.clear(this.id());
  }

  protected print(): void {
    window.print();
  }
}

const YOU: readonly Item[] = [
  { id: 'phone', says: 'Phone silent' },
  { id: 'hands', says: 'Hands clean and dry, pockets as they should be' },
  { id: 'minutes', says: 'You know when to begin, and when to be off' },
];
