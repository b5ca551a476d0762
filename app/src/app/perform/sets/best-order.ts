import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Running } from '@enumeron/core/file/perform/runningOrder';
import { sayTime } from './junction-words';
import { SetDesk } from './set-desk';

/** What stands at each place of a running order: the routine, and what its junction costs. */
const linesOf = (running: Running, nameOf: (id: string) => string) =>
  running.junctions.map(({ before, interval, mends }) => {
    const seconds = mends.reduce((sum, { price }) => sum + price[2], 0);
    const stuck = mends.some(({ price }) => price[0] > 0);
    const hidden = mends.some(({ price }) => price[1] > 0);
    return {
      ...{ id: before, name: nameOf(before), interval },
      costs: stuck
        ? 'can’t be mended'
        : seconds === 0
          ? 'fits'
          : `${sayTime(seconds)}${hidden ? ', out of sight' : ''}`,
      isFree: !stuck && seconds === 0,
    };
  });

/** The best order beside the present one, and why no order is cheaper. Nothing changes until it is used. */
@Component({
  selector: 'en-best-order',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section #found tabindex="-1" aria-labelledby="best-title">
    @if (best(); as best) {
      <h3 id="best-title">{{ says() }}</h3>
      <div class="columns">
        @for (column of columns(); track column.name) {
          <div>
            <h4>{{ column.name }}, {{ column.total }}</h4>
            <ol>
              @for (line of column.lines; track line.id) {
                <li [class.interval]="line.interval">
                  <span>{{ line.name }}</span>
                  <span class="cost" [class.free]="line.isFree">{{ line.costs }}</span>
                </li>
              }
            </ol>
          </div>
        }
      </div>
      <p class="why">{{ why() }}</p>
      <p class="ways">
        @if (!isSame()) {
          <button mat-flat-button type="button" (click)="use(best)">Use this order</button>
        }
        <button mat-button type="button" (click)="desk.seeking.set(false)">
          {{ isSame() ? 'Close' : 'Leave it as it is' }}
        </button>
      </p>
    } @else if (problem(); as sentence) {
      <h3 id="best-title">No order keeps all of this</h3>
      <p>{{ sentence }}</p>
      <p class="ways">
        <button mat-button type="button" (click)="desk.seeking.set(false)">Close</button>
      </p>
    }
  </section>`,
  styles: `
    section {
      padding: 14px 20px 18px;
      border-bottom: 1px solid var(--line);
      background: var(--petrol-wash);

      &:focus {
        outline: none;
      }
    }
    h3 {
      margin: 0 0 8px;
      font: 700 1.35rem/1.2 var(--heading);
    }
    .columns {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 1fr));
      gap: 8px 28px;
    }
    h4 {
      margin: 0 0 4px;
    }
    ol {
      margin: 0;
      padding-left: 1.6rem;
    }
    li {
      padding: 3px 0;
      border-top: 1px solid var(--line);
    }
    li.interval {
      border-top: 3px double var(--muted);
    }
    .cost {
      float: right;
      padding-left: 12px;
      font-family: var(--mono);
      font-weight: 650;
    }
    .free {
      color: var(--muted);
      font-weight: 400;
    }
    .why {
      max-width: 70ch;
      margin: 10px 0;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 0;
    }
    @media (max-width: 43.749em) {
      .columns {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class BestOrder {
  protected readonly desk = inject(SetDesk);
  private readonly found = viewChild.required<ElementRef<HTMLElement>>('found');

  constructor() {
    // It stands over the list: whoever pressed below it is brought there.
    afterNextRender(() => this.found().nativeElement.focus());
  }

  protected readonly best = computed(() => {
    const best = this.desk.best();
    return best?.ok ? best.running : undefined;
  });
  protected readonly problem = computed(() => {
    const best = this.desk.best();
    return best && !best.ok ? `${best.problems[0].what} ${best.problems[0].remedy}` : undefined;
  });
  protected readonly isSame = computed(
    () =>
      this.best()?.order.join() ===
      this.desk
        .lines()
        .map(({ id }) => id)
        .join(),
  );
  private readonly present = computed(() => this.desk.running());
  protected readonly says = computed(() => {
    const [best, now] = [this.best(), this.present()];
    if (!best) return '';
    if (this.isSame()) return 'The order that you have is the best';
    const broken = this.desk.points().some(({ kept }) => !kept);
    if (now?.seconds === best.seconds && now.impossible === best.impossible && !broken)
      return 'Another order costs the same';
    return `Another order takes ${best.seconds === 0 ? 'no mend at all' : sayTime(best.seconds)}`;
  });
  protected readonly columns = computed(() => {
    const [best, now] = [this.best(), this.present()];
    const column = (name: string, running: Running) => ({
      ...{ name, lines: linesOf(running, this.desk.nameOf) },
      total:
        running.impossible > 0
          ? `${running.impossible.toString()} can’t be mended`
          : running.seconds === 0
            ? 'no mend'
            : sayTime(running.seconds),
    });
    return [...(now ? [column('Now', now)] : []), ...(best && !this.isSame() ? [column('Best', best)] : [])];
  });
  /** Why no order is cheaper: what was looked at, and what costs in every case. */
  protected readonly why = computed(() => {
    const best = this.best();
    if (!best) return '';
    const looked = 'Every order that your fixed points allow was looked at.';
    const costs = linesOf(best, this.desk.nameOf).filter(({ isFree }) => !isFree);
    if (costs.length === 0) return `${looked} None can be cheaper than one that needs no mend.`;
    const names = costs.map(({ name, costs: each }) => `${name} (${each})`).join(', ');
    return `${looked} What costs here: ${names}. Press a junction of the list to see what its routine would cost elsewhere.`;
  });

  protected use({ order }: Running): void {
    this.desk.useBest(order);
    this.desk.seeking.set(false);
  }
}
