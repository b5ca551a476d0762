import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { newRoutine } from '@enumeron/core/file/perform/routine';
import { sayLeaves, sayNeed } from '@enumeron/core/file/perform/say';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { Undoing } from '../../storage/undoing';
import { CardText } from '../../ui/card-text';
import { Facts } from '../facts';

/** The routines that the user has, with what each needs and leaves. */
@Component({
  selector: 'en-routine-list',
  imports: [CardText, MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section>
    <h2>Routines</h2>
    <p class="lead">
      A routine is a procedure of Rehearse, or plain notes. What it needs of a pack and how it leaves it is
      worked out from its procedure.
    </p>
    <p class="ways">
      <button mat-flat-button type="button" (click)="begin()">New routine</button>
      <input
        #text
        type="search"
        class="search"
        aria-label="Search routines"
        placeholder="search by name, props or notes"
        autocomplete="off"
        [value]="search()"
        (input)="search.set(text.value)"
      />
    </p>
    <ul class="rows">
      @for (each of rows(); track each.id) {
        <li>
          <a [routerLink]="['/perform/routines', each.id]">
            <strong>{{ each.name }}</strong>
            <span class="says">{{ each.minutes }} min</span>
            <span class="more-words"><en-card-text [text]="each.says" /></span>
          </a>
          <button
            type="button"
            class="more"
            [matMenuTriggerFor]="menu"
            [matMenuTriggerData]="{ row: each.row }"
            [attr.aria-label]="'More of ' + each.name"
          >
            <span aria-hidden="true">⋯</span>
          </button>
        </li>
      }
    </ul>
    <mat-menu #menu="matMenu">
      <ng-template matMenuContent let-row="row">
        <button mat-menu-item type="button" (click)="duplicate(row)">Duplicate</button>
        <button mat-menu-item type="button" (click)="remove(row)">Remove</button>
      </ng-template>
    </mat-menu>
    @if (count() === 0) {
      <p class="note">None yet. Begin with the one that you open with.</p>
    } @else if (rows()?.length === 0) {
      <p class="note">None of your {{ count() }} routines is like that.</p>
    }
  </section>`,
  styleUrls: ['../../ui/page.scss', '../../ui/lists.scss'],
  styles: `
    .search {
      flex: 1 1 16rem;
      max-width: 26rem;
      min-height: 44px;
      padding: 0 10px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
    }
  `,
})
export class RoutineList {
  private readonly store = inject(RoutinesStore);
  private readonly sets = inject(SetsStore);
  private readonly facts = inject(Facts);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);

  protected readonly search = signal('');
  private readonly all = computed(() =>
    this.store.all()?.map((row) => {
      const { name, minutes, props, notes } = row.routine;
      const facts = this.facts.of(row);
      const says = facts.some(({ isWaiting }) => isWaiting)
        ? 'Working out what it needs and leaves …'
        : facts
            .map(
              (each) =>
                `needs ${sayNeed(each.needs, each.home)} · leaves it ${sayLeaves(each.leaves, each.home)}`,
            )
            .join('; ') || 'needs no pack';
      return { row, id: row.id, name, minutes, says, found: `${name} ${props} ${notes}`.toLowerCase() };
    }),
  );
  protected readonly count = computed(() => this.all()?.length);
  protected readonly rows = computed(() => {
    const words = this.search().toLowerCase().split(/\s+/);
    return this.all()?.filter(({ found }) => words.every((word) => found.includes(word)));
  });

  protected readonly begin = once('write a routine', async () => {
    await this.router.navigate(['/perform/routines', this.store.add(newRoutine('New routine'))]);
  });

  protected readonly duplicate = once('duplicate a routine', async ({ routine, procedure }: RoutineRow) => {
    const id = this.store.add({ ...routine, name: `${routine.name} copy` }, procedure);
    await this.router.navigate(['/perform/routines', id]);
  });

  protected readonly remove = once('remove a routine', async (row: RoutineRow) => {
    const used = (this.sets.all() ?? []).filter(({ set }) => set.order.includes(row.id));
    await this.store.remove(row);
    const where = used.length === 0 ? '' : ` It was in ${used.map(({ set }) => set.name).join(' and ')}.`;
    await this.notices.offerUndo(`${row.routine.name} is removed.${where}`, () => this.undoing.undo('table'));
  });
}
