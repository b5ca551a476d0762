import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Card, formatCard, numberOrder, parseOrder } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import {
  DECLARED,
  Declared,
  declaredOf,
  declaredState,
  Lie,
  LIES,
  NEEDED,
  Needed,
  neededOf,
} from '@enumeron/core/file/perform/declared';
import { PackNeed } from '@enumeron/core/file/perform/need';
import { RoutinePack } from '@enumeron/core/file/perform/routine';
import { sayNeed, sayState } from '@enumeron/core/file/perform/say';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { without } from '../../platform/without';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { TextField } from '../../ui/form/text-field';
import { PackFacts } from '../facts';
import { numberProblem } from '../number-problem';

const NEED_WORDS: Readonly<Record<Needed, string>> = {
  ...{ top: 'from the top', any: 'cut anywhere', known: 'cut where I know', 'cut at': 'cut at …' },
  ...{ bank: 'a bank', cards: 'all its cards' },
};
const LIE_WORDS: Readonly<Record<Lie, string>> = {
  ...{ top: 'from the top', 'as it was': 'cut as it was', seen: 'cut where I saw', unseen: 'cut, not seen' },
  lost: 'in no known order',
};

/** So many orders can be chosen from: the newest. */
const MOST_ORDERS = 100;

/** One pack of a routine: what it is laid in, what is needed of it and what is left, worked out or said by hand. */
@Component({
  selector: 'en-routine-pack',
  imports: [CardText, Choice, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './routine-pack.html',
  styleUrls: ['../../ui/page.scss', './routine-pack.scss'],
})
export class RoutinePackForm {
  private readonly store = inject(OrdersStore);

  readonly facts = input.required<PackFacts>();
  readonly pack = input.required<RoutinePack>();
  /** The packets of its procedure that it may be. */
  readonly packets = input.required<readonly string[]>();
  readonly nameCheck = input.required<(text: string) => string | undefined>();
  readonly renamed = output<string>();
  readonly changed = output<RoutinePack>();
  readonly removed = output();

  protected readonly orders = this.store.newest(MOST_ORDERS);
  /** The order as it is chosen: by its id, or as it was when that is gone. */
  protected readonly orderId = computed(() => {
    const { order } = this.pack();
    if (!order) return '';
    return this.orders().find(({ cards }) => cards.join() === order.cards.join())?.id ?? 'kept';
  });

  protected readonly needs = computed(() => sayNeed(this.facts().needs, this.facts().home));
  protected readonly needWords = (need: Needed): string => NEED_WORDS[need];
  protected readonly lieWords = (lie: Lie): string => LIE_WORDS[lie];
  protected readonly needed = NEEDED;
  protected readonly lies = LIES;
  protected readonly need = computed(() => neededOf(this.facts().needs));
  protected readonly bank = computed(() => {
    const { needs } = this.facts();
    return needs.kind === 'bank' ? needs : undefined;
  });
  protected readonly cutAt = computed(() => {
    const { needs } = this.facts();
    return needs.kind === 'home' && needs.turns !== 'any' ? needs.turns.join(', ') : '';
  });
  protected readonly size = computed(() => this.facts().home.cards.length);
  protected readonly bankText = computed(() => (this.bank()?.cards ?? []).map(formatCard).join(' '));
  protected readonly endings = computed(() => {
    const { leaves, home, cases, found } = this.facts();
    if (leaves === 'same') return [{ says: 'as it was', cases: '', outs: '' }];
    return leaves.map((state, index) => ({
      says: sayState(state, home),
      cases: cases ? countOf(cases[index], 'case') : '',
      outs:
        cases && found && found.endings[index].outs > 0
          ? `, ${countOf(found.endings[index].outs, 'out')}`
          : '',
    }));
  });
  /** What is said by hand of each ending; undefined where it tells more. */
  protected readonly declared = computed((): readonly (Declared | undefined)[] => {
    const { leaves } = this.facts();
    return leaves === 'same' ? [] : leaves.map(declaredOf);
  });
  protected readonly saysNeeds = computed(() => this.pack().needs !== undefined);
  protected readonly saysLeaves = computed(() => this.pack().leaves !== undefined);
  protected readonly number = numberProblem;
  protected readonly whereProblem = (text: string): string | undefined =>
    text.trim() !== '' && text.trim().length <= 60 ? undefined : 'Say where, in a few words.';
  protected readonly cutsProblem = (text: string): string | undefined =>
    this.cutsIn(text).length > 0
      ? undefined
      : `Write numbers from 0 to ${(this.size() - 1).toString()}, with commas.`;
  protected readonly bankProblem = (text: string): string | undefined => {
    const read = parseOrder(text);
    return read.ok ? undefined : 'Write its cards from the top down, such as 4S KD 9C.';
  };

  private change(part: Partial<RoutinePack>): void {
    this.changed.emit({ ...this.pack(), ...part });
  }

  protected setPacket(packet: string): void {
    this.change({ packet });
  }

  protected setOrder(id: string): void {
    const rest = without(this.pack(), 'order');
    const order = this.orders().find((each) => each.id === id);
    this.changed.emit(order ? { ...rest, order: { name: order.name, cards: order.cards } } : rest);
  }

  protected toggleLoose(): void {
    const { loose, ...rest } = this.pack();
    this.changed.emit(loose ? rest : { ...rest, loose: true });
  }

  /** What is needed is said by hand from now on, beginning with what was worked out; or no longer. */
  protected toggleNeeds(): void {
    const { needs, ...rest } = this.pack();
    this.changed.emit(needs ? rest : { ...rest, needs: this.facts().needs });
  }

  protected toggleLeaves(): void {
    const { leaves, ...rest } = this.pack();
    this.changed.emit(leaves ? rest : { ...rest, leaves: this.facts().leaves });
  }

  protected setNeed(need: Needed): void {
    const fewer = this.facts().needs.fewer;
    const more = fewer === undefined ? {} : { fewer };
    const made: Readonly<Record<Needed, PackNeed>> = {
      top: { kind: 'home', turns: [0], ...more },
      any: { kind: 'home', turns: 'any', ...more },
      known: { kind: 'home', turns: 'any', known: true, ...more },
      'cut at': { kind: 'home', turns: [1], ...more },
      bank: { kind: 'bank', cards: [this.firstCard()], at: 'top', loose: false, ...more },
      cards: { kind: 'cards', ...more },
    };
    this.change({ needs: made[need] });
  }

  /** A card to begin a bank with. */
  private firstCard(): Card {
    const { cards, isUnknown } = this.facts().home;
    return isUnknown ? numberOrder()[0] : cards[0];
  }

  private cutsIn(text: string): number[] {
    const cuts = text
      .split(/[\s,]+/)
      .filter((each) => each !== '')
      .map(Number);
    return cuts.every((cut) => Number.isInteger(cut) && cut >= 0 && cut < this.size())
      ? [...new Set(cuts)]
      : [];
  }

  protected setCuts(text: string): void {
    this.change({ needs: { kind: 'home', turns: this.cutsIn(text) } });
  }

  protected setBank(text: string): void {
    const [read, bank] = [parseOrder(text), this.bank()];
    if (read.ok && bank) this.change({ needs: { ...bank, cards: read.order } });
  }

  protected changeBank(part: { at?: 'top' | 'face'; loose?: boolean }): void {
    const bank = this.bank();
    if (bank) this.change({ needs: { ...bank, ...part } });
  }

  protected setFewer(text: string): void {
    const needs = without(this.facts().needs, 'fewer');
    const fewer = Number(text);
    this.change({ needs: (fewer === 0 ? needs : { ...needs, fewer }) as PackNeed });
  }

  protected setSame(isSame: boolean): void {
    this.change({ leaves: isSame ? 'same' : [declaredState(DECLARED)] });
  }

  protected setEnding(index: number, part: Partial<Declared>): void {
    const { leaves } = this.facts();
    if (leaves === 'same') return;
    const declared = { ...(this.declared()[index] ?? DECLARED), ...part };
    this.change({ leaves: leaves.map((state, at) => (at === index ? declaredState(declared) : state)) });
  }

  protected addEnding(): void {
    const { leaves } = this.facts();
    if (leaves !== 'same') this.change({ leaves: [...leaves, declaredState({ ...DECLARED, lie: 'lost' })] });
  }

  protected removeEnding(index: number): void {
    const { leaves } = this.facts();
    if (leaves !== 'same') this.change({ leaves: leaves.filter((_, at) => at !== index) });
  }
}
