import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { Live } from '@enumeron/core/file/perform/cue/performance';
import { packsAtPage } from '@enumeron/core/file/perform/cue/perform';
import type { PlannedRoutine } from '@enumeron/core/file/perform/cue/plan';
import { fromHere } from '@enumeron/core/file/perform/fromHere';
import { sayTime } from '../sets/junction-words';

/** So many routines stand on a page of the list. */
const PAGE = 6;

/** Whether a routine uses one of these packs. */
const usesAny = (routines: readonly PlannedRoutine[], id: string, packs: ReadonlySet<string>): boolean =>
  Object.keys(routines.find((each) => each.id === id)?.packs ?? {}).some((pack) => packs.has(pack));

/** Which routines can be done from here, at once or after which mend: a press begins one. */
@Component({
  selector: 'en-jump-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="rows" role="group" aria-label="From here">
    @for (each of shown(); track each.id) {
      <button type="button" [class.cannot]="each.cannot" (click)="jumped.emit(each.id)">
        <strong>{{ each.name }}</strong>
        <small>{{ each.when }}</small>
      </button>
    }
    <button type="button" class="word" (click)="stopped.emit()">stop here, next</button>
    <button type="button" class="word" (click)="endedAll.emit()">end it all</button>
    @if (pages() > 1) {
      <button type="button" class="word more" (click)="page.set((page() + 1) % pages())">
        more ({{ page() + 1 }} of {{ pages() }})
      </button>
    }
  </div>`,
  styles: `
    :host {
      display: block;
      min-height: 0;
      overflow-y: auto;
    }
    .rows {
      display: grid;
      grid-template-columns: 1fr 1fr;
      grid-auto-rows: minmax(56px, 1fr);
      gap: 6px;
      height: 100%;
    }
    button {
      display: grid;
      align-content: center;
      min-height: 56px;
      padding: 2px 8px;
      border: 1px solid var(--line);
      border-radius: 6px;
      background: var(--sheet);
      color: var(--ink);
      font: 600 1rem/1.1 var(--heading);
      touch-action: manipulation;
      cursor: pointer;
    }
    small {
      color: var(--petrol);
      font-size: 0.9rem;
      font-weight: 500;
    }
    .cannot strong,
    .cannot small {
      color: var(--muted);
    }
    .word {
      color: var(--petrol);
    }
    .more {
      grid-column: 1 / -1;
    }
  `,
})
export class JumpList {
  readonly live = input.required<Live>();
  readonly jumped = output<string>();
  readonly stopped = output();
  readonly endedAll = output();

  protected readonly page = signal(0);
  private readonly rows = computed(() => {
    const { plan, packs, phase, done } = this.live();
    const here = phase.kind === 'run' || phase.kind === 'left' ? phase.run.routine.id : undefined;
    // Half-way a pack lies as it lies by then; where nobody can know how, it is asked first.
    const midway = phase.kind === 'run' || phase.kind === 'left' ? packsAtPage(phase.run, plan) : {};
    const unknown = new Set(
      midway === undefined && phase.kind !== 'over' && 'run' in phase
        ? Object.keys(phase.run.routine.packs)
        : [],
    );
    const now = Object.fromEntries(
      Object.entries({ ...packs, ...midway }).map(([name, states]) => [
        name,
        { home: plan.packs[name].home.cards, states },
      ]),
    );
    // Those of the set that are left come first.
    const open = plan.routines.filter(({ id }) => id !== here);
    const isLeft = (id: string): number =>
      plan.order.includes(id) && !done.some((each) => each.id === id) ? 0 : 1;
    return fromHere(open, now, plan.costs)
      .map(({ id, price: [cannot, outOfSight, seconds] }) => ({
        ...{ id, name: open.find((each) => each.id === id)?.name ?? '' },
        cannot: cannot > 0 && !usesAny(open, id, unknown),
        when: usesAny(open, id, unknown)
          ? 'behind a look at the pack'
          : cannot > 0
            ? 'not now'
            : seconds === 0
              ? 'at once'
              : `${sayTime(seconds)}${outOfSight > 0 ? ', out of sight' : ''}`,
      }))
      .sort((a, b) => isLeft(a.id) - isLeft(b.id));
  });
  protected readonly pages = computed(() => Math.max(1, Math.ceil(this.rows().length / PAGE)));
  protected readonly shown = computed(() => this.rows().slice(PAGE * this.page(), PAGE * (this.page() + 1)));
}
