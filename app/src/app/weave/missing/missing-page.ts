import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Card, JOKERS, showCard, suitOf } from '@enumeron/core/deck';
import {
  distancesAfter,
  namedByBreak,
  withExtraCard,
  withoutCard,
  withStandIn,
  WrongCount,
} from '@enumeron/core/weave';
import { PackStore } from '../../nouns/pack/pack.store';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { CardText } from '../../ui/card-text';
import { EntryField } from '../../ui/form/entry-field';
import { cardCompleter, cardReader } from '../../ui/form/reading';
import { WeavingStore } from '../../nouns/weaves/weaving.store';
import { Choice } from '../../ui/choice';

/** What may be wrong with the pack, and in which words. */
const CASES = {
  missing: 'a card is missing',
  'stand-in': 'a joker is in its place',
  extra: 'a joker too many before it',
} as const;
type Case = keyof typeof CASES;

/** A pack of a card fewer or more: where its sequence breaks after the row, and which card the break names. */
@Component({
  selector: 'en-missing-page',
  imports: [Choice, CardText, EntryField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './missing-page.html',
  styleUrls: ['../../ui/page.scss', '../plan/plan.scss', '../orders/orders-page.scss'],
})
export class MissingPage {
  private readonly pack = inject(PackStore);
  protected readonly store = inject(WeavingStore);

  protected readonly cases = Object.keys(CASES) as readonly Case[];
  protected readonly caseWords = (kind: Case): string => CASES[kind];
  protected readonly kind = signal<Case>('missing');
  private readonly typed = signal<Card | undefined>(undefined);
  protected readonly card = computed(() => this.typed() ?? this.pack.home().at(this.pack.size() >> 1) ?? 0);
  protected readonly suit = computed(() => suitOf(this.card()));
  protected readonly show = showCard;
  protected readonly read = computed(() => cardReader(this.pack.home()));
  protected readonly complete = computed(() => cardCompleter(this.pack.home()));
  protected readonly row = computed(() => this.store.names().join(', ') || 'no move yet');

  private readonly joker = computed(() => JOKERS.find((joker) => !this.pack.home().includes(joker)));
  protected readonly found = computed<WrongCount | undefined>(() => {
    const [home, card, row, joker] = [this.pack.home(), this.card(), this.store.row(), this.joker()];
    switch (this.kind()) {
      case 'missing':
        return withoutCard(home, card, row);
      case 'stand-in':
        return joker === undefined ? undefined : withStandIn(home, card, joker, row);
      case 'extra':
        return joker === undefined ? undefined : withExtraCard(home, joker, home.indexOf(card), row);
    }
  });
  /** The card that the break names, where it names one. */
  protected readonly named = computed(() => {
    const found = this.found();
    const { before, after } = found?.break ?? { before: -1, after: -1 };
    return this.kind() === 'extra' ? undefined : namedByBreak(this.pack.home(), before, after);
  });
  /** How far apart neighbours lie after the row, where all lie as far apart. */
  protected readonly apart = computed(() => {
    const found = this.found();
    const distances = found ? distancesAfter(found.order.length, this.store.row()) : [];
    return new Set(distances).size === 1 ? distances[0] : undefined;
  });

  constructor() {
    previewOnRail(() => {
      const found = this.found();
      const words = CASES[this.kind()];
      return (
        found && {
          ...{ home: this.pack.home(), now: found.order, label: `After the row, when ${words}` },
          marks: new Map([
            [found.break.beforeAt, ['seen'] as const],
            [found.break.afterAt, ['seen'] as const],
          ]),
        }
      );
    });
  }

  protected setCard(card: Card | undefined): void {
    this.typed.set(card);
  }
}
