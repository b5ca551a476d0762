import { computed, inject, Injectable } from '@angular/core';
import {
  breaksIn,
  Card,
  cutBetween,
  Glimpse,
  offsetOf,
  placeOf,
  seamOf,
  showCard,
} from '@enumeron/core/deck';
import { applyMove, describeMove, Move } from '@enumeron/core/file/moves/move';
import { Committed, Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { BESIDE } from './beside.kind';
import { OrderRow } from '../orders/orders.kind';
import { NamedPack, PACK, PackRow } from './pack.kind';
import { Rows } from '../../storage/rows';

const [IN_HAND, BESIDE_IT] = [onlyPlace(PACK), onlyPlace(BESIDE)];

/** What is said when the other pack is asked for and there is none. */
export const NO_OTHER_PACK =
  'There is no second pack. Keep one beside it: Arrange, an order, More, Keep beside the pack.';

const laid = ({ id, name, cards }: Pick<OrderRow, 'id' | 'name' | 'cards'>): NamedPack => ({
  orderId: id,
  name,
  home: cards,
  now: cards,
});

/** A pack that holds other cards now: those that left it leave its home order, others come to its end. */
const holding = ({ home, ...pack }: PackRow, now: readonly Card[]): PackRow => ({
  ...pack,
  home: [...home.filter((card) => now.includes(card)), ...now.filter((card) => !home.includes(card))],
  now,
  seen: undefined,
});

/** The live pack: the pack on the screen is the pack in the performer's hands. */
@Injectable({ providedIn: 'root' })
export class PackStore {
  private readonly journal = inject(Journal);
  private readonly rows = inject(Rows);
  private readonly besideRow = this.rows.only(BESIDE_IT);

  readonly pack = this.rows.only(IN_HAND);
  /** The other pack of the set, or undefined while there is only one. */
  readonly beside = computed(() => this.besideRow().pack);
  readonly home = computed(() => this.pack().home);
  readonly now = computed(() => this.pack().now);
  readonly size = computed(() => this.now().length);
  readonly seen = computed(() => this.pack().seen);
  /** How far the pack is turned, or undefined when it is no turn of its home order. */
  readonly offset = computed(() => offsetOf(this.home(), this.now()));
  /** The place after which the home order begins again, or undefined. */
  readonly seam = computed(() => seamOf(this.home(), this.now()));
  /** Places after which the home order does not go on. */
  readonly breaks = computed(() => breaksIn(this.home(), this.now()));

  /** Does a move to the pack. */
  apply(move: Move): Promise<Committed> {
    return this.change(this.labelOf(move), (pack) => ({
      ...pack,
      now: applyMove(pack.now, move),
      seen: undefined,
    }));
  }

  /** Does whatever move: one that takes a card out of the pack or brings one in changes its home order, too. */
  do(move: Move): Promise<Committed> {
    const same = applyMove(this.now(), move).length === this.size();
    return same ? this.apply(move) : this.applyAll([move], this.labelOf(move));
  }

  /** Does a row of moves as one action; cards that leave the pack leave its home order, others come to its end. */
  applyAll(moves: readonly Move[], label: string): Promise<Committed> {
    return this.change(label, (pack) => holding(pack, moves.reduce(applyMove, pack.now)));
  }

  /** Takes note of how the pack lies now, with whichever cards. */
  become(now: readonly Card[], label: string): Promise<Committed> {
    return this.change(label, (pack) => holding(pack, now));
  }

  /** Takes note of a card seen at the face or on top: the pack must be cut so. */
  see({ at, card }: Glimpse): Promise<Committed> {
    const where = at === 'face' ? 'at the face' : 'on top';
    return this.change(`${showCard(card)} seen ${where}`, (pack) => {
      const place = placeOf(pack.now, card);
      if (place === undefined) return undefined;
      const count = cutBetween(place, at === 'face' ? pack.now.length : 1, pack.now.length);
      return { ...pack, now: applyMove(pack.now, { kind: 'cut', count }), seen: { at, card } };
    });
  }

  /** Lays the pack in an order. */
  use(order: OrderRow): Promise<Committed> {
    return this.change(`use ${order.name}`, ({ id }) => ({ id, ...laid(order) }));
  }

  /** Keeps a second pack, laid in an order, beside the one in use: the two are a set. */
  keepBeside(order: OrderRow): Promise<Committed> {
    return this.journal.commit(`keep ${order.name} beside the pack`, [BESIDE_IT], ([{ id }]) => [
      { id, pack: laid(order) },
    ]);
  }

  /** Puts the second pack away. */
  putAway(): Promise<Committed> {
    const label = `put ${this.beside()?.name ?? 'the second pack'} away`;
    return this.journal.commit(label, [BESIDE_IT], ([{ id }]) => [{ id }]);
  }

  /** Takes the other pack of the set in hand; each stays as it lies. Gives false when there is none. */
  async swap(): Promise<boolean> {
    const beside = this.beside();
    if (!beside) return false;
    await this.journal.commit(
      `take ${beside.name} in hand`,
      [IN_HAND, BESIDE_IT],
      ([{ id, ...pack }, other]) =>
        other.pack && [
          { id, ...other.pack },
          { id: other.id, pack },
        ],
    );
    return true;
  }

  /** Brings the pack back to its home order. */
  inOrder(): Promise<Committed> {
    return this.change('put the pack in order', ({ id, orderId, name, home }) => ({
      id,
      ...laid({ id: orderId, name, cards: home }),
    }));
  }

  /** What a move would make of the pack, without doing it. */
  preview(move: Move): readonly Card[] {
    return applyMove(this.now(), move);
  }

  /** A move as undo names it: `cut 12 cards from the top to the bottom`. */
  private labelOf(move: Move): string {
    const sentence = describeMove(move, this.size()).replace(/\.$/, '');
    return sentence.charAt(0).toLowerCase() + sentence.slice(1);
  }

  private change(label: string, make: (pack: PackRow) => PackRow | undefined): Promise<Committed> {
    return this.journal.commit(label, [IN_HAND], ([pack]) => {
      const made = make(pack);
      return made && [made];
    });
  }
}
