import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  signal,
} from '@angular/core';
import { formatCard, Card } from '@enumeron/core/deck';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { without } from '@enumeron/core/file/rehearse/editSteps';
import { readLaid, sayCards, sayLaid } from '@enumeron/core/file/rehearse/laidWords';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { Desk } from '../desk/desk.store';

/** The texts of a procedure beside its steps. */
const TEXTS = [
  ['needs', 'Needs'],
  ['set-up', 'Set-up'],
  ['reset', 'Reset'],
  ['note', 'Note'],
] as const;

type Named = 'packets' | 'orders' | 'givens';

/** A procedure with something else under a name; undefined takes it away. */
const withNamed = (procedure: Procedure, kind: Named, name: string, value: unknown): Procedure => {
  const all = procedure[kind] ?? {};
  // In its place, where it is there already.
  return { ...procedure, [kind]: value === undefined ? without(all, name) : { ...all, [name]: value } };
};

const MOST_DIGITS = 1_000_000;

/** What lies on the table at the start, orders, givens and the texts: shown when it is wanted. */
@Component({
  selector: 'en-set-up',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown.enter)': 'goOn($event)' },
  templateUrl: './set-up.html',
  styleUrl: './set-up.scss',
})
export class SetUp {
  private readonly desk = inject(Desk);
  private readonly injector = inject(Injector);
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly pack = inject(PackStore);
  private readonly orderList = inject(OrdersStore);

  protected readonly open = signal(false);
  protected readonly texts = computed(() =>
    TEXTS.map(([field, label]) => ({ field, label, value: this.desk.procedure()?.[field] ?? '' })),
  );
  /** What was written of a packet or an order and is no list of cards, by its name. */
  private readonly typed = signal<ReadonlyMap<string, string>>(new Map());
  private readonly givenNames = computed(() => Object.keys(this.desk.procedure()?.givens ?? {}));
  protected readonly givens = computed(() => Object.entries(this.desk.procedure()?.givens ?? {}));
  private readonly packets = computed(() =>
    Object.entries(this.desk.procedure()?.packets ?? {}).map(([name, row]) =>
      this.written('packets', name, sayLaid(row), row.length),
    ),
  );
  private readonly orders = computed(() =>
    Object.entries(this.desk.procedure()?.orders ?? {}).map(([name, order]) =>
      this.written('orders', name, sayCards(order), order.length),
    ),
  );
  protected readonly groups = computed(() => [
    { kind: 'packets' as const, title: 'Packets', rows: this.packets() },
    { kind: 'orders' as const, title: 'Orders', rows: this.orders() },
  ]);
  protected readonly known = this.orderList.names();

  private written(kind: Named, name: string, text: string, parts: number) {
    const typed = this.typed().get(`${kind} ${name}`);
    const read = typed === undefined ? undefined : readLaid(typed, this.givenNames());
    return { name, text: typed ?? text, parts, problem: read?.ok === false ? read.what : undefined };
  }

  protected writeText(field: string, text: string): void {
    this.desk.change(`write ${field}`, (procedure) => ({ ...procedure, [field]: text }), field);
  }

  protected writeCards(kind: 'packets' | 'orders', name: string, text: string): void {
    const key = `${kind} ${name}`;
    const read = readLaid(text, this.givenNames());
    this.typed.update((typed) => new Map(typed).set(key, text));
    if (!read.ok) return;
    const cards = kind === 'orders' ? read.parts.filter((part) => typeof part === 'string') : read.parts;
    this.desk.change(`lay ${name}`, (procedure) => withNamed(procedure, kind, name, cards), key);
  }

  /** Leaves what is written; what can be read shows as it is kept. */
  protected leave(kind: Named, name: string): void {
    const key = `${kind} ${name}`;
    const text = this.typed().get(key);
    if (text === undefined || !readLaid(text, this.givenNames()).ok) return;
    this.typed.update((typed) => new Map([...typed].filter(([each]) => each !== key)));
  }

  protected writeGiven(name: string, text: string): void {
    const value = Number(text);
    if (text.trim() === '' || !Number.isInteger(value) || Math.abs(value) > MOST_DIGITS) return;
    this.desk.change(
      `change ${name}`,
      (procedure) => withNamed(procedure, 'givens', name, value),
      `given ${name}`,
    );
  }

  /** Enter goes on to the next field, and behind the last one to the steps; Shift and Enter break a line. */
  protected goOn(event: Event): void {
    const { target } = event;
    if (!(event instanceof KeyboardEvent) || event.shiftKey || event.isComposing) return;
    const isAdding = target instanceof HTMLInputElement && target.form !== null && target.value.trim() !== '';
    if (isAdding || !(target instanceof HTMLTextAreaElement || target instanceof HTMLInputElement)) return;
    event.preventDefault();
    const fields = [...this.host.querySelectorAll<HTMLElement>('textarea, input')];
    const next = fields.at(fields.indexOf(target) + 1);
    if (next && next !== fields[0]) {
      next.focus();
      // What lies there is laid anew more often than it is mended.
      if (next instanceof HTMLTextAreaElement && next.dataset['named'] !== undefined) next.select();
    } else this.desk.wanted.set({ what: 'add' });
  }

  protected add(kind: Named, name: string): void {
    const named = name.trim().slice(0, 60);
    if (named === '' || Object.hasOwn(this.desk.procedure()?.[kind] ?? {}, named)) return;
    const value = kind === 'givens' ? 1 : [];
    this.desk.change(`add ${named}`, (procedure) => withNamed(procedure, kind, named, value));
    // It is written at once.
    afterNextRender(
      {
        read: () =>
          this.host.querySelector<HTMLElement>(`[data-named="${CSS.escape(`${kind} ${named}`)}"]`)?.focus(),
      },
      { injector: this.injector },
    );
  }

  protected remove(kind: Named, name: string): void {
    this.desk.change(`remove ${name}`, (procedure) => withNamed(procedure, kind, name, undefined));
  }

  /** Lays a packet, or writes an order, as the pack lies or as an order that is kept. */
  protected lay(kind: 'packets' | 'orders', name: string, id: string): void {
    const cards: readonly Card[] | undefined =
      id === 'pack' ? this.pack.now() : this.orderList.find(id)?.cards;
    if (!cards) return;
    const written = cards.map(formatCard);
    this.typed.update((typed) => new Map([...typed].filter(([each]) => each !== `${kind} ${name}`)));
    this.desk.change(`lay ${name}`, (procedure) => withNamed(procedure, kind, name, written));
  }
}
