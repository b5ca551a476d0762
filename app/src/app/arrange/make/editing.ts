import { computed, effect, ElementRef, inject, Injectable, signal, untracked } from '@angular/core';
import { Card, formatOrder, missingCards } from '@enumeron/core/deck';
import { Drafts } from '../../storage/drafts';
import { DraftRow, TEXT_LIMIT } from '../../storage/kinds/drafts';
import { OrderRow } from '../../nouns/orders/orders.kind';
import { OrderChanges } from '../../nouns/pack/order-changes';
import { OrdersStore } from '../../nouns/orders/orders.store';

/** What happened elsewhere to the order that is being changed here. */
export type Elsewhere = 'changed' | 'deleted';

/** An order as it is being written: its text, the draft of it that is kept, and the order that it came from. */
@Injectable()
export class Editing {
  private readonly store = inject(OrdersStore);
  private readonly changes = inject(OrderChanges);
  private readonly drafts = inject(Drafts);

  /** The order that is changed, or `new`. */
  private readonly id = signal<string | undefined>(undefined);
  readonly name = signal('');
  readonly text = signal('');
  /** Whether the cards that are missing are meant to be: the pack is a part of one. */
  readonly part = signal(false);
  /** What other tabs left of the same order when they went. */
  readonly left = signal<readonly DraftRow[]>([]);

  private readonly source = computed(() => {
    const id = this.id();
    return id === undefined || id === 'new' ? undefined : this.store.find(id);
  });
  /** The order that saving replaces; a sample is never replaced, but gives its cards to a new order. */
  readonly old = computed<OrderRow | undefined>(() => (this.source()?.sample ? undefined : this.source()));
  /** When the order was changed last before this began; undefined while there is none to be replaced. */
  private readonly base = signal<number | undefined>(undefined);
  /** Whether anything was typed that the order does not hold. */
  private readonly touched = signal(false);
  private readonly saving = signal(false);
  readonly elsewhere = computed<Elsewhere | undefined>(() => {
    const [base, old] = [this.base(), this.old()];
    if (base === undefined || this.saving() || !this.touched()) return undefined;
    return old === undefined ? 'deleted' : old.changed === base ? undefined : 'changed';
  });

  constructor() {
    // It keeps its fields as a draft, all together.
    inject<ElementRef<HTMLElement>>(ElementRef, { optional: true })?.nativeElement.setAttribute(
      'data-kept',
      '',
    );
    // What was changed elsewhere is followed as long as nothing was typed here.
    effect(() => {
      const [old, base] = [this.old(), this.base()];
      if (old && base !== undefined && old.changed !== base && !this.touched() && !this.saving())
        untracked(() => this.begin(old));
    });
  }

  /** Whether the order has been read, so that it can be opened. */
  isRead(id: string): boolean {
    return id === 'new' || this.store.isRead(id);
  }

  /** Begins with this tab's draft of an order, or with the order itself. */
  async open(id: string): Promise<void> {
    if (this.id() === id) return;
    this.id.set(id);
    this.touched.set(false);
    this.begin(this.source());
    const draft = await this.drafts.find(id);
    // What was typed meanwhile is newer.
    if (draft && this.id() === id && !this.touched()) this.fill(draft);
    this.left.set(await this.drafts.left(id));
  }

  write(part: { readonly name?: string; readonly text?: string; readonly part?: boolean }): void {
    if (part.name !== undefined) this.name.set(part.name);
    if (part.text !== undefined) this.text.set(part.text);
    if (part.part !== undefined) this.part.set(part.part);
    this.touched.set(true);
    this.keep();
  }

  /** Goes on with what another tab left. */
  async take(row: DraftRow): Promise<void> {
    this.fill(row.fields);
    this.keep();
    await this.discard(row);
  }

  async discard(row: DraftRow): Promise<void> {
    this.left.update((rows) => rows.filter(({ id }) => id !== row.id));
    await this.drafts.discard(row);
  }

  /** Saving will replace what was done elsewhere. */
  keepMine(): void {
    this.base.set(this.old()?.changed);
    this.keep();
  }

  /** What was done elsewhere stands, and what was written here goes. */
  async takeTheirs(): Promise<void> {
    await this.dropDraft();
    this.touched.set(false);
    this.begin(this.old());
  }

  /**
   * Saves what is written, in the order's place or as a new one.
   *
   * @param apart as a second order, whatever it came from.
   * @returns the order's id, or undefined when it was changed elsewhere: nothing is saved then.
   */
  async save(cards: readonly Card[], apart = false): Promise<string | undefined> {
    const [old, name] = [this.old(), this.name()];
    if (this.elsewhere() === 'changed' && !apart) return undefined;
    this.saving.set(true);
    try {
      if (!old || apart) {
        const id = await this.store.add(name, cards);
        await this.dropDraft();
        return id;
      }
      if ((await this.changes.change(old, name, cards)) === 'nothing' && this.differs(old, name, cards))
        return undefined;
      await this.dropDraft();
      return old.id;
    } finally {
      this.saving.set(false);
    }
  }

  async dropDraft(): Promise<void> {
    await this.drafts.drop(this.id() ?? 'new');
  }

  private differs(old: OrderRow, name: string, cards: readonly Card[]): boolean {
    return old.name !== name.trim() || formatOrder(old.cards) !== formatOrder(cards);
  }

  private begin(source: OrderRow | undefined): void {
    const own = source !== undefined && !source.sample;
    this.base.set(own ? source.changed : undefined);
    this.part.set(source !== undefined && missingCards(source.cards).length > 0);
    this.name.set(own ? source.name : '');
    this.text.set(source ? formatOrder(source.cards) : '');
  }

  private fill({ name, text, part, base }: DraftRow['fields']): void {
    if (typeof name === 'string') this.name.set(name);
    if (typeof text === 'string') this.text.set(text);
    if (typeof part === 'boolean') this.part.set(part);
    if (typeof base === 'number' && this.base() !== undefined) this.base.set(base);
    this.touched.set(true);
  }

  private keep(): void {
    const [name, text, part, base] = [this.name(), this.text(), this.part(), this.base() ?? null];
    const id = this.id();
    if (id !== undefined && text.length <= TEXT_LIMIT && name.length <= TEXT_LIMIT)
      void this.drafts.keep(id, { name, text, part, base });
  }
}
