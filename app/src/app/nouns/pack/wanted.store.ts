import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import { Card, placeOf, showCard } from '@enumeron/core/deck';
import { Handling, handlings, toleratedFirst } from '@enumeron/core/reckon';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { WANTED, WantedRow } from './wanted.kind';
import { Rows } from '../../storage/rows';
import { SettingsStore } from '../settings/settings.store';
import { PackStore } from './pack.store';

const PLACE = onlyPlace(WANTED);

/** What is wanted, for people: `7♦ at 15`. */
const sayWanted = ({ card, number }: Omit<WantedRow, 'id'>): string =>
  card === undefined && number === undefined
    ? 'want nothing'
    : `want ${card === undefined ? 'a card' : showCard(card)}${number === undefined ? '' : ` at ${number.toString()}`}`;

/** The card and the number that were named, and every way to bring the one to the other. */
@Injectable({ providedIn: 'root' })
export class WantedStore {
  private readonly journal = inject(Journal);
  private readonly pack = inject(PackStore);
  private readonly settings = inject(SettingsStore);
  private readonly row = inject(Rows).only(PLACE);

  readonly card = computed(() => this.row().card);
  readonly number = computed(() => this.row().number);
  /** Where the wanted card lies now, or undefined when it is not in the pack or none is wanted. */
  readonly place = computed(() => {
    const card = this.card();
    return card === undefined ? undefined : placeOf(this.pack.now(), card);
  });

  /** The handlings for the wanted card and number, the best tolerated one first; empty while one of them is missing. */
  readonly ways = computed<readonly Handling[]>(() => {
    const [card, number] = [this.card(), this.number()];
    return card === undefined || number === undefined
      ? []
      : toleratedFirst(handlings(this.pack.now(), card, number), this.settings.tolerance());
  });

  /** Which of the ways is taken: the best until another is chosen. */
  private readonly chosenIndex = linkedSignal({ source: this.ways, computation: () => 0 });
  readonly chosen = computed<Handling | undefined>(() => this.ways()[this.chosenIndex()]);

  choose(way: Handling): void {
    this.chosenIndex.set(Math.max(0, this.ways().indexOf(way)));
  }

  /** Sets the card, the number or both; what is not given stays, and undefined takes away. */
  want(part: { card?: Card; number?: number }): Promise<unknown> {
    const label = sayWanted({ ...this.row(), ...part });
    return this.journal.commit(label, [PLACE], ([wanted]) => [{ ...wanted, ...part }], 'wanted');
  }

  /** Does the chosen handling to the pack. Gives false when there is nothing to do. */
  async carryOut(): Promise<boolean> {
    const move = this.chosen()?.move;
    if (!move) return false;
    await this.pack.apply(move);
    return true;
  }
}
