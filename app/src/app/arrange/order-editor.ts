import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatIcon } from '@angular/material/icon';
import { MatInput } from '@angular/material/input';
import { Router } from '@angular/router';
import {
  checkEntries,
  Entry,
  formatOrder,
  missingCards,
  OrderProblem,
  parseOrder,
  parsePart,
  Problem,
  readEntries,
  sayProblem,
  showCard,
} from '@enumeron/core/deck';
import { debounceTime, Subject } from 'rxjs';
import { Drafts, TEXT_LIMIT } from '../data/drafts';
import { readOrderFile } from '../data/order-files';
import { nameProblem, OrderRow } from '../data/rows';
import { OrdersStore } from '../data/orders.store';
import { PackStore } from '../pack/pack.store';
import { CardText } from '../shared/card-text';
import { Notices } from '../shared/notices';
import { OrderSheet } from '../shared/order-sheet';
import { readTextFile } from '../shared/read-file';
import { NewTabs } from './new-tabs';
import { OrderDesk } from './order-desk';
import { MissingPart } from '../shared/missing-part';

/** The largest file that is read as an order. */
const FILE_LIMIT = 1_000_000;

/** A problem, and where its text stands (in line and column) when it has a place. */
type Shown = Problem & { readonly line?: number; readonly column?: number };

/** How many missing cards are told one by one. */
const FEW = 4;

/** Many missing cards are one thing to mend, not many. */
const gathered = (problems: readonly OrderProblem[]): readonly Shown[] => {
  const missing = problems.filter((problem) => problem.kind === 'missing');
  if (missing.length <= FEW) return problems;
  const names = missing.map(({ card }) => showCard(card)).join(' ');
  return [
    ...problems.filter((problem) => problem.kind !== 'missing'),
    { what: `${missing.length} cards are missing: ${names}.`, remedy: '' },
  ];
};

/** An order as one writes or pastes it, with what is wrong told as one goes. */
@Component({
  selector: 'en-order-editor',
  imports: [
    MissingPart,
    CardText,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatHint,
    MatIcon,
    MatInput,
    MatLabel,
    NewTabs,
    OrderDesk,
    OrderSheet,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-editor.html',
  styleUrl: './order-editor.scss',
})
export class OrderEditor {
  private readonly router = inject(Router);
  private readonly store = inject(OrdersStore);
  private readonly pack = inject(PackStore);
  private readonly drafts = inject(Drafts);
  private readonly notices = inject(Notices);
  private readonly area = viewChild.required<ElementRef<HTMLTextAreaElement>>('area');

  /** The order that is changed, or `new`. */
  readonly id = input.required<string>();

  protected readonly name = signal('');
  protected readonly text = signal('');
  /** Whether the cards that are missing are meant to be: the pack is a part of one. */
  protected readonly part = signal(false);
  /** What was wrong with the file that was opened last. */
  protected readonly fileProblem = signal<string | undefined>(undefined);
  /** Whether saving has been tried: only then is an empty field a problem. */
  protected readonly tried = signal(false);
  private readonly typed$ = new Subject<void>();
  /** For which order anything was typed: what is read later must not replace it. */
  private typedFor: string | undefined;

  private readonly source = computed(() => this.store.find(this.id()));
  /** The order that saving replaces; a sample is never replaced, but gives its cards to a new order. */
  protected readonly old = computed<OrderRow | undefined>(() =>
    this.source()?.sample ? undefined : this.source(),
  );
  protected readonly inUse = computed(
    () => this.old() !== undefined && this.pack.pack().orderId === this.id(),
  );

  /** Whether the cards are laid one by one on the sheet below the text. */
  protected readonly desk = signal(false);
  protected readonly entries = computed<readonly Entry[]>(() =>
    this.text().length > TEXT_LIMIT ? [] : readEntries(this.text()),
  );
  protected readonly problems = computed<readonly Shown[]>(() => {
    if (this.text().length > TEXT_LIMIT)
      return [
        {
          what: `This text has ${this.text().length} characters, far more than an order.`,
          remedy: `Paste at most ${TEXT_LIMIT} characters.`,
        },
      ];
    if (this.text().trim() === '' && !this.tried()) return [];
    const problems = checkEntries(this.entries());
    return gathered(this.part() ? problems.filter(({ kind }) => kind !== 'missing') : problems);
  });
  protected readonly wrong = computed(() => {
    const count = this.problems().length;
    return count === 1 ? '1 thing is wrong' : `${count.toString()} things are wrong`;
  });
  protected readonly nameProblem = computed(() =>
    this.name() === '' && !this.tried() ? undefined : nameProblem(this.name()),
  );
  protected readonly cells = computed(() => {
    const seen = new Set<number>();
    return this.entries()
      .slice(0, 60)
      .map(({ card, text }) => {
        const odd = card === undefined || seen.has(card);
        if (card !== undefined) seen.add(card);
        return { card, text, odd };
      });
  });
  protected readonly count = computed(() => this.entries().length);
  protected readonly sayProblem = sayProblem;

  constructor() {
    const ready = computed(() => this.store.orders() !== undefined);
    effect(() => {
      if (ready()) void this.load(this.id());
    });
    this.typed$
      .pipe(debounceTime(250), takeUntilDestroyed())
      .subscribe(() => void this.drafts.keep({ id: this.id(), name: this.name(), text: this.text() }));
  }

  protected write(part: { name?: string; text?: string }): void {
    this.typedFor = this.id();
    if (part.name !== undefined) this.name.set(part.name);
    if (part.text !== undefined) this.text.set(part.text);
    this.typed$.next();
  }

  protected async open(input: HTMLInputElement): Promise<void> {
    const file = input.files?.item(0);
    input.value = '';
    if (!file) return;
    const read = await readTextFile(file, FILE_LIMIT, 'an order');
    const outcome = read.ok ? await readOrderFile(read.text) : read;
    this.fileProblem.set(outcome.ok ? undefined : sayProblem(outcome.problems[0]));
    if (!outcome.ok) return;
    const name = this.name() === '' ? { name: outcome.name ?? file.name.replace(/\.[^.]*$/, '') } : {};
    this.write({ ...name, text: outcome.text });
  }

  /** Selects the text that a problem is about. */
  protected show({ line, column }: Shown): void {
    if (line === undefined || column === undefined) return;
    const area = this.area().nativeElement;
    const before = area.value.split('\n').slice(0, line - 1);
    const start = before.reduce((sum, row) => sum + row.length + 1, 0) + column - 1;
    area.focus();
    area.setSelectionRange(start, start + (/^[^\s,;|]*/.exec(area.value.slice(start))?.[0].length ?? 0));
  }

  protected async save(): Promise<void> {
    this.tried.set(true);
    const outcome = (this.part() ? parsePart : parseOrder)(this.text());
    if (this.nameProblem() !== undefined || !outcome.ok || this.problems().length > 0) {
      void this.notices.show('Not saved yet: see what is wrong beside the field.');
      return;
    }
    const [old, name] = [this.old(), this.name().trim()];
    const id = old ? old.id : await this.store.add(name, outcome.order);
    if (old) await this.store.change(old, name, outcome.order);
    await this.drafts.drop(this.id());
    await this.router.navigate(['/arrange', id]);
  }

  protected async leave(): Promise<void> {
    await this.drafts.drop(this.id());
    await this.router.navigate(this.old() ? ['/arrange', this.id()] : ['/arrange']);
  }

  private async load(id: string): Promise<void> {
    const draft = await this.drafts.find(id);
    if (this.typedFor === id) return;
    const source = this.source();
    this.part.set(source !== undefined && missingCards(source.cards).length > 0);
    this.name.set(draft?.name ?? (this.old() ? (source?.name ?? '') : ''));
    this.text.set(draft?.text ?? (source ? formatOrder(source.cards) : ''));
  }
}
