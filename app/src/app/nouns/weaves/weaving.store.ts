import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { recipeSteps } from '@enumeron/core/file/arrange/recipe';
import { Card, Order } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { beyondPack, moveName, openMove, pathOf, TypedRow, typeRow } from '@enumeron/core/weave';
import { Committed, Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { PACK } from '../pack/pack.kind';
import { Followed, LONGEST_ROW, MOST_FOLLOWED, WEAVING, WeavingRow } from './weaving.kind';
import { Rows } from '../../storage/rows';
import { PackStore } from '../pack/pack.store';

const [PLACE, PACK_PLACE] = [onlyPlace(WEAVING), onlyPlace(PACK)];

/** A card that is followed, and where it lies before the row and after each move; no path where it is not in the pack. */
export interface FollowedCard extends Followed {
  readonly path: readonly number[] | undefined;
}

/** What a key makes of a row; one that is full stays, and what would not fit is not begun. */
const typeInto = (row: readonly Move[], open: string, key: string, size: number): TypedRow | undefined => {
  const typed = typeRow({ row, open }, key, size);
  return typed && typed.row.length > LONGEST_ROW ? { row, open: '' } : typed;
};

/**
 * The row of moves that is worked on. It is done to a copy of the pack as it lies; the pack itself stays until the row
 * is applied to it.
 */
@Injectable()
export class WeavingStore {
  private readonly journal = inject(Journal);
  private readonly pack = inject(PackStore);
  private readonly stored = inject(Rows).only(PLACE);

  readonly wishes = computed(() => ({ cuts: this.stored().cuts, anyOrder: this.stored().anyOrder === true }));
  /** Keys of a move that is not whole yet. */
  readonly open = signal('');
  private readonly typed = computed<TypedRow>(() => ({ row: this.stored().row, open: this.open() }));
  /** The row as it stands, with the move that is being typed where that is whole. */
  readonly row = computed<readonly Move[]>(() => {
    const move = openMove(this.typed(), this.size());
    return move ? [...this.stored().row, move] : this.stored().row;
  });
  readonly names = computed(() => this.row().map(moveName));
  readonly size = computed(() => this.pack.size());
  /** The copy before the row, and after each of its moves. */
  readonly orders = computed<readonly Order[]>(() =>
    recipeSteps({ base: this.pack.now(), moves: this.row() }),
  );
  /** The first move that names more cards than the pack has, in a sentence. */
  readonly beyond = computed(() => {
    const index = beyondPack(this.row(), this.size());
    return index < 0
      ? undefined
      : `${this.names()[index]} names more cards than this pack has: ${this.size().toString()}.`;
  });

  private readonly chosen = signal<number | undefined>(undefined);
  /** After how many moves the copy is shown: all of them until one steps back. */
  readonly step = computed(() => Math.min(this.chosen() ?? this.row().length, this.row().length));
  readonly shown = computed(() => this.orders()[this.step()]);

  readonly followed = computed<readonly FollowedCard[]>(() =>
    this.stored().followed.map((each) => ({ ...each, path: pathOf(this.orders(), each.card) })),
  );

  constructor() {
    // Another row is shown to its end.
    let before = '';
    effect(() => {
      const now = JSON.stringify(this.stored().row);
      if (now !== before) untracked(() => this.chosen.set(undefined));
      before = now;
    });
  }

  /** Whether the row has as many moves as one may have. */
  readonly isFull = computed(() => this.row().length >= LONGEST_ROW);

  /** One key of the row editor. Gives whether it meant anything. */
  type(key: string): boolean {
    const [row, open, size] = [this.stored().row, this.open(), this.size()];
    const typed = typeInto(row, open, key, size);
    if (!typed) return false;
    this.open.set(typed.open);
    if (typed.row !== row)
      this.edit('change the row of weaves', (now) => typeInto(now, open, key, size)?.row ?? now);
    return true;
  }

  /** What is being typed ends: the focus is elsewhere. */
  close(): void {
    const move = openMove(this.typed(), this.size());
    this.open.set('');
    if (move) this.add(move);
  }

  /** Puts another row in the place of this one, and forgets what is being typed. */
  use(row: readonly Move[], label: string): void {
    this.open.set('');
    this.edit(label, () => row.slice(0, LONGEST_ROW));
  }

  add(move: Move): void {
    this.close();
    this.edit(`add ${moveName(move)} to the row`, (row) => [...row, move].slice(0, LONGEST_ROW));
  }

  /** Takes the last move back. */
  takeBack(): void {
    this.close();
    this.edit('take a move of the row back', (row) => row.slice(0, -1));
  }

  private edit(label: string, make: (row: readonly Move[]) => readonly Move[]): void {
    this.chosen.set(undefined);
    this.change(label, (weaving) => ({ ...weaving, row: make(weaving.row) }));
  }

  /** Shows the copy after so many moves. */
  goTo(step: number): void {
    this.chosen.set(Math.max(0, Math.min(step, this.row().length)));
  }

  /** @param index from 0; as many as there are for one more. */
  follow(index: number, followed: Followed | undefined): void {
    this.change('change which cards are followed', (weaving) => {
      const { followed: before } = weaving;
      // Another tab may follow it by now.
      if (before.some(({ card }, at) => at !== index && card === followed?.card)) return undefined;
      const all = [...before];
      all.splice(index, 1, ...(followed ? [followed] : []));
      return all.length > MOST_FOLLOWED ? undefined : { ...weaving, followed: all };
    });
  }

  /** Whether one card more can be followed. */
  readonly hasRoom = computed(() => this.stored().followed.length < MOST_FOLLOWED);

  wish(wishes: Pick<WeavingRow, 'cuts'> | { readonly anyOrder: boolean }): void {
    this.change('change what is planned with', ({ anyOrder, ...weaving }) => {
      const any = 'anyOrder' in wishes ? wishes.anyOrder : anyOrder;
      return { ...weaving, ...('cuts' in wishes ? wishes : {}), ...(any ? { anyOrder: true as const } : {}) };
    });
  }

  /** Does the row to the pack itself, and empties it. */
  apply(): Promise<Committed> {
    this.close();
    const label = `weave the pack: ${this.names().join(', ')}`.slice(0, 120);
    return this.journal.commit(label, [PACK_PLACE, PLACE], ([pack, weaving]) => {
      const orders = recipeSteps({ base: pack.now, moves: weaving.row });
      const now: readonly Card[] = orders[orders.length - 1];
      return [
        { ...pack, now, seen: undefined },
        { ...weaving, row: [] },
      ];
    });
  }

  private change(label: string, make: (weaving: WeavingRow) => WeavingRow | undefined): void {
    void this.journal.commit(label, [PLACE], ([weaving]) => {
      const made = make(weaving);
      return made && [made];
    });
  }
}
