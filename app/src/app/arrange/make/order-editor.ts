import { countOf } from '@enumeron/core/file/deck/countOf';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatIcon } from '@angular/material/icon';
import { MatInput } from '@angular/material/input';
import { Router } from '@angular/router';
import {
  checkEntries,
  Entry,
  OrderProblem,
  parseOrder,
  parsePart,
  Problem,
  readEntries,
  sayProblem,
  showCard,
} from '@enumeron/core/deck';
import { TEXT_LIMIT } from '../../storage/kinds/drafts';
import { Icons } from '../../ui/icons';
import { readOrderFile } from '../../nouns/orders/order-files';
import { nameProblem } from '@enumeron/core/formats';
import { PackStore } from '../../nouns/pack/pack.store';
import { CardText } from '../../ui/card-text';
import { LeftDrafts } from '../../ui/left-drafts';
import { Notices } from '../../platform/notices';
import { OrderSheet } from '../../ui/order-sheet';
import { readTextFile } from '../../platform/read-file';
import { once } from '../../platform/once';
import { Editing } from './editing';
import { NewTabs } from './new-tabs';
import { OrderDesk } from './order-desk';
import { MissingPart } from '../../ui/missing-part';
import { titled } from '../../ui/titled';
import { Choice } from '../../ui/choice';

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
    {
      what: `${countOf(missing.length, 'card')} ${missing.length === 1 ? 'is' : 'are'} missing: ${names}.`,
      remedy: '',
    },
  ];
};

/** An order as one writes or pastes it, with what is wrong told as one goes. */
@Component({
  selector: 'en-order-editor',
  imports: [
    Choice,
    MissingPart,
    CardText,
    MatButton,
    MatFormField,
    MatHint,
    MatIcon,
    MatInput,
    MatLabel,
    LeftDrafts,
    NewTabs,
    OrderDesk,
    OrderSheet,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [Editing],
  templateUrl: './order-editor.html',
  styleUrls: ['./order-editor.scss', '../../ui/sign.scss'],
})
export class OrderEditor {
  private readonly router = inject(Router);
  protected readonly editing = inject(Editing);
  private readonly pack = inject(PackStore);
  private readonly notices = inject(Notices);
  private readonly area = viewChild.required<ElementRef<HTMLTextAreaElement>>('area');

  /** The order that is changed, or `new`. */
  readonly id = input.required<string>();

  protected readonly name = this.editing.name;
  protected readonly text = this.editing.text;
  protected readonly part = this.editing.part;
  protected readonly old = this.editing.old;
  /** What was wrong with the file that was opened last. */
  protected readonly fileProblem = signal<string | undefined>(undefined);
  /** Whether saving has been tried: only then is an empty field a problem. */
  protected readonly tried = signal(false);
  protected readonly inUse = computed(
    () => this.old() !== undefined && this.pack.pack().orderId === this.id(),
  );

  /** Whether the cards are laid one by one on the sheet below the text. */
  protected readonly desk = signal(false);
  protected readonly deskWords = (desk: boolean): string => (desk ? 'Lay it card by card' : 'As read');
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
    titled('Arrange', () => {
      const old = this.editing.old();
      return old ? `Change ${old.name}` : this.id() === 'new' ? 'New order' : 'Change an order';
    });
    inject(Icons);
    effect(() => {
      const id = this.id();
      if (this.editing.isRead(id)) void untracked(() => this.editing.open(id));
    });
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
    this.editing.write({ ...name, text: outcome.text });
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

  protected readonly save = once('save an order', () => this.saveAs(false));
  /** What is written becomes a second order, beside the one that was changed elsewhere. */
  protected readonly saveBoth = once('save an order', () => this.saveAs(true));

  protected async leave(): Promise<void> {
    await this.editing.dropDraft();
    await this.router.navigate(this.old() ? ['/arrange', this.id()] : ['/arrange']);
  }

  private async saveAs(apart: boolean): Promise<void> {
    this.tried.set(true);
    const outcome = (this.part() ? parsePart : parseOrder)(this.text());
    if (this.nameProblem() !== undefined || !outcome.ok || this.problems().length > 0) {
      void this.notices.show('Not saved yet: see what is wrong beside the field.');
      return;
    }
    const id = await this.editing.save(outcome.order, apart);
    if (id === undefined) void this.notices.show('Not saved: the order was changed elsewhere. Choose above.');
    else await this.router.navigate(['/arrange', id]);
  }
}
