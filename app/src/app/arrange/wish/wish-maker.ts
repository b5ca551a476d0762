import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { ActivatedRoute, Router } from '@angular/router';
import { Origin } from '@enumeron/core/file/arrange/origin';
import { formatCard } from '@enumeron/core/deck';
import { fileName } from '@enumeron/core/file/formats/name';
import { withoutWeight } from '@enumeron/core/file/wish/editWish';
import { homePlaces } from '@enumeron/core/file/wish/homePlaces';
import { sayWish } from '@enumeron/core/file/wish/sayWish';
import { Wish } from '@enumeron/core/file/wish/wish';
import { placesChanged } from '@enumeron/core/file/wish/changes';
import { lookOf, showLook } from '@enumeron/core/file/wish/look';
import { wishForProcedure } from '@enumeron/core/file/wish/forProcedure';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { SaveOrder } from '../../nouns/orders/save-order';
import { Mark, Marks } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { layProceduresOut } from '../../nouns/procedures/sample';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { download } from '../../platform/download';
import { unpackText } from '../../platform/packed-text';
import { readTextFile } from '../../platform/read-file';
import { readJson } from '../../platform/read-json';
import { Scripts } from '../../platform/scripts';
import { SampleRoom } from '../../storage/sample-room';
import { keepDraft } from '../../storage/draft-fields';
import { LeftDrafts } from '../../ui/left-drafts';
import { titled } from '../../ui/titled';
import { NewTabs } from '../make/new-tabs';
import { OpenWishes } from '../open-wishes';
import { FoundPanel } from './found-panel';
import { Wishing } from './wishing.store';
import { WishListView } from './wish-list';

/** The longest file of wishes that is read, in bytes. */
const LONGEST = 400_000;
/** So many places are marked; more would say nothing. */
const MOST_MARKED = 12;

/** Whether something that was kept can be shown as a wish; what is wrong with it is said beside it. */
const canBeSaid = (value: unknown): boolean => {
  try {
    return sayWish(value as Wish) !== '';
  } catch {
    return false;
  }
};

/** An order by wishes: what it must do is said, judged as one writes, and looked for. */
@Component({
  selector: 'en-wish-maker',
  imports: [
    FoundPanel,
    LeftDrafts,
    MatButton,
    MatFormField,
    MatInput,
    MatLabel,
    NewTabs,
    SaveOrder,
    WishListView,
  ],
  providers: [ProceduresStore, Wishing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wish-maker.html',
  styleUrls: ['../../ui/lists.scss', './wish-maker.scss'],
})
export class WishMaker {
  protected readonly wishing = inject(Wishing);
  private readonly store = inject(OrdersStore);
  private readonly procedures = inject(ProceduresStore);
  private readonly pack = inject(PackStore);
  private readonly samples = inject(SampleRoom);
  private readonly scripts = inject(Scripts);

  /** The order whose wishes are opened again, from the address. */
  readonly id = input<string>();
  /** A procedure for which an order is looked for, from the address. */
  readonly procedure = input<string>();

  protected readonly orders = this.store.names();
  protected readonly chosenBase = computed(() => this.wishing.baseId() ?? this.pack.pack().orderId);
  protected readonly name = signal('');
  protected readonly problem = signal<string | undefined>(undefined);
  protected readonly choosing = signal(false);
  protected readonly all = computed(() => this.procedures.all() ?? []);

  private readonly fragment = toSignal(inject(ActivatedRoute).fragment);
  /** The order of the address; its wishes are opened once. */
  private readonly row = computed(() => {
    const id = this.id();
    return id === undefined ? undefined : this.store.find(id);
  });
  protected readonly rowName = computed(() => {
    const row = this.row();
    return row?.origin?.kind === 'wishes' ? row.name : undefined;
  });

  protected readonly written = computed(() =>
    this.wishing
      .cards()
      .map((card) => showLook(lookOf(card)))
      .join(' '),
  );
  protected readonly cards = computed(() =>
    this.wishing.isOwn() && this.wishing.isKeepable() ? this.wishing.cards() : undefined,
  );
  protected readonly origin = computed<Origin>(() => ({
    kind: 'wishes',
    list: JSON.parse(JSON.stringify(this.wishing.list())) as Readonly<Record<string, unknown>>,
  }));

  private readonly route = inject(ActivatedRoute);
  private readonly router = inject(Router);
  /** What is written is kept by the order that it is opened for. */
  protected readonly draft = keepDraft(
    [
      'wishes',
      this.route.snapshot.paramMap.get('id') ?? [],
      this.route.snapshot.queryParamMap.get('procedure') ?? [],
    ]
      .flat()
      .join(' '),
    {
      wishes: this.wishing.wishes,
      baseId: this.wishing.baseId,
      nearest: this.wishing.nearest,
      seed: this.wishing.seed,
      kept: this.wishing.kept,
      ownPack: this.wishing.ownPack,
      ownStart: this.wishing.ownStart,
      name: this.name,
    },
    (name, value) => name !== 'wishes' || (Array.isArray(value) && value.every(canBeSaid)),
  );

  constructor() {
    previewOnRail(() => {
      if (!this.wishing.isKeepable()) return undefined;
      const cards = this.wishing.cards();
      const label = this.wishing.isFinding()
        ? 'The best order so far'
        : this.wishing.isOwn()
          ? 'The order that was found'
          : 'The order that one begins with';
      return {
        ...{ home: cards, now: cards, label, marks: this.marks() },
        ...(this.wishing.picking() && { pick: (place: number) => this.wishing.pick(place) }),
      };
    });
    const open = inject(OpenWishes);
    effect(() => {
      const name = this.name().trim();
      const list = this.wishing.list();
      open.list.set(list.wishes.length === 0 ? undefined : { ...list, ...(name && { name }) });
    });
    inject(DestroyRef).onDestroy(() => open.list.set(undefined));
    // What this tab wrote goes before what is kept; each is taken over once, and stays when it changes elsewhere.
    const here = signal<boolean | undefined>(undefined);
    void this.draft.brought.then((brought) => here.set(brought));
    const opened = effect(() => {
      const [row, known] = [this.row(), here()];
      if (row?.origin?.kind !== 'wishes' || known === undefined) return;
      const { list } = row.origin;
      if (!known) untracked(() => this.problem.set(this.wishing.take(list, row.cards.map(formatCard))));
      opened.destroy();
    });
    const added = effect(() => {
      const id = this.procedure();
      const [row, known] = [id === undefined ? undefined : this.procedures.find(id), here()];
      if (!row || known === undefined) return;
      if (!known) untracked(() => this.addProcedure(row.procedure));
      added.destroy();
    });
    effect(() => {
      const [fragment, known] = [this.fragment(), here()];
      if (fragment && known !== undefined) void this.bring(fragment);
    });
    titled('Arrange', () => {
      const name = this.rowName();
      return name === undefined ? 'An order by wishes' : `Wishes · ${name}`;
    });
  }

  private readonly marks = computed<Marks>(() => {
    const chosen = this.wishing.chosen();
    const wish = chosen === undefined ? undefined : this.wishing.wishes().at(chosen);
    const check = chosen === undefined ? undefined : this.wishing.checks()[chosen];
    if (!wish || !check) return this.changedMarks();
    const size = this.wishing.size();
    const placesOf = (right: boolean): ReadonlySet<number> =>
      new Set(
        check.cases
          .filter(({ ok }) => ok === right)
          .flatMap((each) => homePlaces(withoutWeight(wish), each, size)),
      );
    const [held, broken] = [placesOf(true), placesOf(false)];
    const found = new Map<number, readonly Mark[]>();
    if (held.size <= MOST_MARKED) for (const place of held) found.set(place, ['wanted']);
    // Where nearly all is broken, the first places say enough.
    for (const place of [...broken].slice(0, MOST_MARKED)) found.set(place, ['number']);
    return found;
  });

  /** Where cards lie elsewhere than before, where as few as possible do. */
  private changedMarks(): Marks {
    if (!this.wishing.nearest() || !this.wishing.isOwn()) return new Map();
    const places = placesChanged(this.wishing.base(), this.wishing.order());
    return new Map(places.map((place) => [place, ['seen']]));
  }

  private async bring(fragment: string): Promise<void> {
    const text = await unpackText(fragment);
    if (text === undefined)
      this.problem.set('This address holds no wishes. It may have been cut off on its way.');
    else await this.read(text, 'Ask for it again.');
    // It is taken over once: what is changed here stays through a reload.
    await this.router.navigate([], {
      ...{ relativeTo: this.route, queryParamsHandling: 'preserve', replaceUrl: true },
    });
  }

  private async read(text: string, remedy: string): Promise<void> {
    const json = await readJson(text, remedy);
    if (!json.ok) {
      const [{ where, what }] = json.problems;
      this.problem.set([where, what, remedy].filter(Boolean).join(' '));
      return;
    }
    const value = json.value as { readonly name?: unknown } | null;
    this.problem.set(this.wishing.take(value));
    if (this.problem() === undefined && typeof value?.name === 'string') this.name.set(value.name);
  }

  /** The procedures to choose from; in a demo that has not seen Rehearse yet, with those of its sample. */
  protected chooseProcedure(): void {
    this.choosing.set(!this.choosing());
    void layProceduresOut(this.samples, this.scripts);
  }

  protected addProcedure(procedure: Parameters<typeof wishForProcedure>[0]): void {
    this.choosing.set(false);
    const made = wishForProcedure(procedure, this.wishing.base());
    if (!made.ok) {
      const [{ what, remedy }] = made.problems;
      this.problem.set(`${what} ${remedy}`);
      return;
    }
    this.problem.set(undefined);
    if (made.pack) this.wishing.beginWithCards(made.pack);
    this.wishing.add(made.wish);
  }

  protected async open(file: File | undefined): Promise<void> {
    if (!file) return;
    const read = await readTextFile(file, LONGEST, 'wishes');
    if (read.ok) await this.read(read.text, 'Choose another file.');
    else this.problem.set(`${file.name}: ${read.problems[0].what} ${read.problems[0].remedy}`);
  }

  protected save(): void {
    const name = this.name().trim();
    const list = { ...this.wishing.list(), ...(name && { name }) };
    download(
      JSON.stringify(list, undefined, 2),
      fileName(name || 'wishes', 'enumeron.json'),
      'application/json',
    );
  }
}
