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
import { CAUTIONS } from '@enumeron/core/file/perform/routine';
import { checking, sayChecking } from '@enumeron/core/file/perform/checking';
import { laidFor } from '@enumeron/core/file/perform/need';
import { sayNeed, sayState } from '@enumeron/core/file/perform/say';
import { showCard } from '@enumeron/core/deck';
import { itemId, promptOf, showSaid, truthOf, weakest } from '@enumeron/core/learn';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { LearnStore } from '../../nouns/learning/learn.store';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { doneIn } from '@enumeron/core/file/record/night';
import { ENDING_WORDS } from '@enumeron/core/file/record/sayNight';
import { PerformancesStore } from '../../nouns/performances/performances.store';
import { CardText } from '../../ui/card-text';
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

/** So many cards of a pack are looked at, and so many orders are looked through for its order. */
const [GLIMPSES, ORDERS] = [3, 30];

/** What to look at before one goes on, made from a set, and ticked off. */
@Component({
  selector: 'en-before-list',
  imports: [CardText, MatButton],
  providers: [LearnStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="left" aria-live="polite">{{ left() }}</p>
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
    @if (weak().length > 0) {
      <h3>The {{ weak().length }} weakest cards of {{ learn.name() }}</h3>
      <ol class="weak">
        @for (each of weak(); track each.id) {
          <li><en-card-text [text]="each.says" /></li>
        }
      </ol>
    }
    <p class="ways">
      <button mat-stroked-button type="button" (click)="print()">Lay out the dressing table on paper</button>
      <button mat-button type="button" [disabled]="ticked().size === 0" (click)="beginAnew()">
        Begin the list anew
      </button>
    </p>`,
  styles: `
    .left {
      margin: 0 0 6px;
      font: 700 1.35rem var(--heading);
    }
    h3 {
      margin: 1.2rem 0 0.2rem;
    }
    ul,
    ol {
      max-width: 52rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    ul > li {
      border-top: 1px solid var(--line-faint);
    }
    .weak {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 22px;
      font: 600 1.05rem var(--mono);
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
export class BeforeList {
  private readonly desk = inject(SetDesk);
  private readonly facts = inject(Facts);
  private readonly ticks = inject(Ticks);
  private readonly pack = inject(PackStore);
  private readonly orders = inject(OrdersStore).newest(ORDERS);
  private readonly performances = inject(PerformancesStore);
  protected readonly learn = inject(LearnStore);

  /** The set’s id: what was ticked is kept under it. */
  readonly id = input.required<string>();
  protected readonly ticked = computed(() => this.ticks.of(this.id()));

  protected readonly parts = computed((): readonly Part[] =>
    [
      { name: 'Packs', items: this.packs() },
      { name: 'Resets', items: this.resets() },
      { name: 'Last time', items: this.lastTime() },
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

  /** The order that is learnt, of those that the set uses: by its id; undefined where none is known here. */
  private readonly learnt = computed(() => {
    const { orderId } = this.pack.pack();
    const known = [{ id: orderId, cards: this.pack.home() }, ...this.orders()];
    const homes = this.desk.packs().flatMap(({ home, hasHome }) => (hasHome ? [home.cards.join()] : []));
    return known.find(({ cards }) => homes.includes(cards.join()))?.id;
  });
  protected readonly weak = computed(() => {
    if (this.learnt() === undefined || !this.learn.isRead()) return [];
    const order = this.learn.order();
    const { items, schedule } = this.learn.plan();
    const about = { memories: this.learn.memories(), schedule, now: this.learn.now() };
    return weakest(items, new Map(), about).map((item) => ({
      id: itemId(item),
      says: `${showSaid(promptOf(item, order))} → ${showSaid(truthOf(item, order))}`,
    }));
  });

  constructor() {
    effect(() => {
      const id = this.learnt();
      untracked(() => {
        if (id !== undefined) this.learn.choose(id);
      });
    });
  }

  /** Each pack, laid as the first routine that uses it needs it, as its procedure says; and its spares. */
  private packs(): readonly Item[] {
    return this.desk.packs().flatMap(({ name, home, hasHome, spares }) => {
      const first = this.desk.lines().find(({ facts }) => facts.some(({ pack }) => pack === name));
      const need = first?.facts.find(({ pack }) => pack === name)?.needs;
      // An order says all; a bank, or cards laid as only the procedure says, do not.
      const setUp =
        need?.kind === 'home' ? undefined : this.facts.procedure(first?.row?.procedure)?.['set-up'];
      const state = need && laidFor(need, home.cards);
      const lies =
        need?.kind === 'home' && state
          ? `${home.name} ${sayState(state, home)}`
          : need && sayNeed(need, home);
      const items: Item[] = [
        {
          ...{ id: `pack ${name}`, says: lies === undefined ? name : `${name}: ${lies}` },
          ...(first && { note: `for ${first.name}${setUp ? `. ${setUp}` : ''}` }),
        },
      ];
      if (need?.kind === 'home' && state?.lies === 'home' && hasHome) {
        const turn = typeof state.turn === 'number' ? state.turn : 0;
        const found = checking([...home.cards.slice(turn), ...home.cards.slice(0, turn)], GLIMPSES);
        const cards = found.checks.map(({ place, card }) => `${showCard(card)} at ${place.toString()}`);
        items.push({
          ...{ id: `glimpses ${name}`, says: `${name}, at a glance: ${cards.join(', ')}` },
          note: sayChecking(found),
        });
      }
      const ready = `${countOf(spares, 'spare pack')} of ${name}, laid the same`;
      return spares === 0 ? items : [...items, { id: `spares ${name}`, says: ready }];
    });
  }

  /** What did not hit when the set was done last. */
  private lastTime(): readonly Item[] {
    const last = this.performances.lastOf(this.id());
    return (last ? doneIn(last) : [])
      .filter(({ how }) => how !== 'hit')
      .map(({ id, name, how, out, why = out }) => ({
        ...{ id: `last ${id}`, says: `${name}: ${ENDING_WORDS[how]}` },
        ...(why !== undefined && { note: why }),
      }));
  }

  /** What the routines that were done last left to be put right. */
  private resets(): readonly Item[] {
    const last = this.performances.lastOf(this.id());
    const done = new Set(last && doneIn(last).map(({ id }) => id));
    return this.desk.lines().flatMap(({ id, name, row }): Item[] => {
      if (!row || !done.has(id)) return [];
      const says = row.routine.clearUp.trim() || this.facts.procedure(row.procedure)?.reset?.trim();
      return says ? [{ id: `reset ${id}`, says, note: `${name}, as it was done the last time` }] : [];
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
