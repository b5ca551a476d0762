import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import {
  evenSizes,
  FEWEST_PACKETS,
  gather,
  gatherings,
  GatheredKind,
  gatherMoves,
  gatherProcedure,
  Join,
  MOST_PACKETS,
  pilesAfter,
  sayGathered,
  sayJoin,
  sayLooks,
  withRest,
} from '@enumeron/core/file/rehearse/gather';
import { Undoing } from '../../storage/undoing';
import { PackStore } from '../../nouns/pack/pack.store';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader } from '../../ui/form/reading';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { fieldsOf, isNumbers, overReload } from '../../platform/over-reload';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { Choice } from '../../ui/choice';

/** So many ways are listed. */
const LISTED = 10;

const isJoins = (value: unknown): value is readonly Join[] =>
  Array.isArray(value) && value.every((each) => isNumbers([fieldsOf(each)['pile'], fieldsOf(each)['onto']]));

const TITLES: Readonly<Record<GatheredKind, string>> = {
  'as it was': 'The order is as it was',
  turned: 'The order is only cut',
  broken: 'The order is broken',
};

/** A pack cut into packets and gathered: which ways keep the order, and which of them look most like mixing. */
@Component({
  selector: 'en-gather-page',
  imports: [Choice, CountPipe, EntryField, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './gather-page.html',
  styleUrls: ['../../ui/page.scss', './gather-page.scss'],
})
export class GatherPage {
  protected readonly pack = inject(PackStore);
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly undoing = inject(Undoing);

  protected readonly counts = Array.from(
    { length: MOST_PACKETS - FEWEST_PACKETS + 1 },
    (_, index) => FEWEST_PACKETS + index,
  );
  protected readonly count = signal(4);
  protected readonly joins = linkedSignal<unknown, readonly Join[]>({
    source: this.count,
    computation: () => [],
  });
  /** The place of the pile that is picked up and not put down yet. */
  protected readonly held = linkedSignal<unknown, number | undefined>({
    source: this.joins,
    computation: () => undefined,
  });
  /** Which of the ways that keep the order are listed. */
  protected readonly kinds = ['turned', 'as it was'] as const;
  protected readonly kindWords = (kind: string): string => (kind === 'turned' ? 'only cut' : kind);
  protected readonly kind = signal<'as it was' | 'turned'>('turned');

  private readonly all = computed(() => gatherings(this.count()));
  protected readonly says = computed(() => {
    const { counts } = this.all();
    const many = (count: number): string => count.toLocaleString('en');
    const ways = counts['as it was'] + counts.turned + counts.broken;
    return `Of ${many(ways)} ways to gather them ${many(counts['as it was'])} ${counts['as it was'] === 1 ? 'leaves' : 'leave'} the order as it was, ${many(counts.turned)} only ${counts.turned === 1 ? 'cuts' : 'cut'} it, and ${many(counts.broken)} ${counts.broken === 1 ? 'breaks' : 'break'} it.`;
  });
  protected readonly listed = computed(() =>
    this.all()
      .kept.filter(({ kind }) => kind === this.kind())
      .slice(0, LISTED)
      .map((way) => ({
        way,
        joins: way.joins.map(({ pile, onto }) => `${pile.toString()} on ${onto.toString()}`).join(', '),
        looks: sayLooks(way),
        isShown: JSON.stringify(way.joins) === JSON.stringify(this.joins()),
      })),
  );

  protected readonly piles = computed(() => {
    const piles = pilesAfter(this.count(), this.joins());
    return Array.from({ length: this.count() }, (_, index) => ({
      place: index + 1,
      packets: piles.get(index + 1) ?? [],
    }));
  });
  protected readonly steps = computed(() =>
    this.joins().map((join, index) => sayJoin(join, this.count(), this.joins().slice(0, index))),
  );
  protected readonly done = computed(() => {
    const way = gather(this.count(), this.joins());
    return (
      way && {
        ...way,
        title: TITLES[way.kind],
        why: sayGathered(way.packets),
        looks: sayLooks(way),
      }
    );
  });

  /** How many cards each packet holds; the last one has what is left. */
  private readonly told = linkedSignal<unknown, readonly number[]>({
    source: () => [this.count(), this.pack.size()].join(),
    computation: () => evenSizes(this.pack.size(), this.count()),
  });
  protected readonly sizes = computed(() => withRest(this.told().slice(0, -1), this.pack.size()));
  protected readonly fits = computed(() => this.sizes().every((each) => each >= 1));
  protected readonly show = (value: number): string => value.toString();
  protected readonly read = computed(() => numberReader(Math.max(1, this.pack.size() - 1)));

  constructor() {
    const { count, joins, told } = fieldsOf(
      overReload('gather', () => ({ count: this.count(), joins: this.joins(), told: this.told() })),
    );
    if (!this.counts.includes(Number(count)) || !isJoins(joins)) return;
    this.count.set(Number(count));
    this.joins.set(joins);
    if (isNumbers(told)) this.told.set(told);
  }

  protected press(place: number): void {
    const held = this.held();
    if (held === undefined) this.held.set(place);
    else if (held === place) this.held.set(undefined);
    else this.joins.update((joins) => [...joins, { pile: held, onto: place }]);
  }

  protected back(): void {
    if (this.held() === undefined) this.joins.update((joins) => joins.slice(0, -1));
    else this.held.set(undefined);
  }

  protected setSize(index: number, value: number | undefined): void {
    if (value !== undefined)
      this.told.update((sizes) => sizes.map((each, at) => (at === index ? value : each)));
  }

  protected readonly apply = once('gather the pack', async () => {
    const done = this.done();
    if (!done || !this.fits()) return;
    const moves = gatherMoves(this.sizes(), done.packets);
    if (moves.length === 0) {
      await this.notices.show('That changes nothing: the pack stays as it was.');
      return;
    }
    await this.pack.applyAll(moves, 'cut and gather');
    await this.notices.offerUndo('The pack is gathered like this.', () => this.undoing.undo('table'));
  });

  protected readonly keep = once('keep a gathering', async () => {
    const done = this.done();
    if (!done || this.pack.size() < this.count()) return;
    const name = `Gathered from ${this.count().toString()} packets, ${done.kind}`;
    const procedure = gatherProcedure(name, this.pack.home(), done);
    await this.router.navigate(['/rehearse', this.procedures.add(procedure, 'keep a gathering')]);
  });
}
