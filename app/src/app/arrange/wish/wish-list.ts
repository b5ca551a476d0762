import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  output,
  signal,
} from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { AROUND, innerOf, optionsOf, WishOption } from '@enumeron/core/file/wish/options';
import { WishCheck } from '@enumeron/core/file/wish/checkWish';
import { withoutWeight } from '@enumeron/core/file/wish/editWish';
import { sayWish } from '@enumeron/core/file/wish/sayWish';
import { ListedWish, Wish } from '@enumeron/core/file/wish/wish';
import { CardText } from '../../ui/card-text';
import { Icons } from '../../ui/icons';
import { AddWish } from './add-wish';
import { WishSentence } from './wish-sentence';
import { Wishing } from './wishing.store';

/** So many broken cases are told. */
const MOST_TOLD = 3;

/** The wishes, each one sentence with its fields, and beside it how the order meets it. */
@Component({
  selector: 'en-wish-list',
  imports: [AddWish, CardText, MatIcon, WishSentence],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wish-list.html',
  styleUrl: './wish-list.scss',
})
export class WishListView {
  readonly procedure = output();
  protected readonly wishing = inject(Wishing);
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly around = AROUND;
  /** The wish in whose weight something stands that is none. */
  protected readonly light = signal<number | undefined>(undefined);

  protected readonly lines = computed(() => {
    const [wishes, checks, problems] = [
      this.wishing.wishes(),
      this.wishing.checks(),
      this.wishing.problems(),
    ];
    return wishes.map((listed, index) => {
      const check = checks[index];
      const problem = problems[index];
      const state = problem ? 'wrong' : !check ? 'open' : check.holds ? 'holds' : 'broken';
      return {
        ...{ index, wish: withoutWeight(listed), weight: listed.weight, state },
        says: sayWish(withoutWeight(listed)),
        right: sayRight(check, listed),
        problem: problem && `${problem.what} ${problem.remedy}`,
        isChosen: this.wishing.chosen() === index,
        told: sayBroken(check),
      };
    });
  });
  protected readonly options = (wish: Wish): readonly WishOption[] => optionsOf(innermost(wish));

  constructor() {
    inject(Icons);
  }

  protected stateWords(state: string, weight: number | undefined): string {
    if (state === 'holds') return 'holds';
    if (state === 'broken') return weight === undefined ? 'does not hold' : 'does not hold; it need not';
    return state === 'wrong' ? 'cannot be judged' : 'is being judged';
  }

  /** A press on a line shows what more can be said of its wish; one on its sign hides that again. */
  protected choose({ target }: Event, index: number): void {
    const within = (selector: string): boolean =>
      target instanceof Element && target.closest(selector) !== null;
    if (within('.more')) return;
    const again = within('.sign') && this.wishing.chosen() === index;
    this.wishing.chosen.set(again ? undefined : index);
  }

  protected turn(index: number, wish: Wish, option: WishOption): void {
    this.put(index, withInnermost(wish, option.turn(innermost(wish), this.wishing.size())));
  }

  protected wrap(index: number, wish: Wish, wrap: (wish: Wish) => Wish): void {
    this.put(index, wrap(wish));
  }

  /** The wish inside, without the cuts or moves around it. */
  protected unwrap(index: number, wish: Wish): void {
    const inner = innerOf(wish);
    if (inner) this.put(index, inner);
  }

  protected isInside(wish: Wish): boolean {
    return innerOf(wish) !== undefined;
  }

  protected weigh(index: number, text: string): void {
    const weight = Number(text.trim().replace(',', '.'));
    const isWeight = weight > 0 && Number.isFinite(weight);
    this.light.set(isWeight ? undefined : index);
    if (isWeight) this.wishing.change(index, { ...this.wishing.wishes()[index], weight });
  }

  protected rather(index: number): void {
    const wish = this.wishing.wishes()[index];
    const next: ListedWish = wish.weight === undefined ? { ...wish, weight: 1 } : withoutWeight(wish);
    this.wishing.change(index, next);
  }

  /** Alt and an arrow move the wish, Delete on its line takes it out. */
  protected key(event: KeyboardEvent, index: number): void {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (event.altKey && by !== 0) {
      event.preventDefault();
      this.wishing.shift(index, by);
    } else if (event.key === 'Delete' && event.target === event.currentTarget) {
      event.preventDefault();
      this.wishing.remove(index);
      queueMicrotask(() => this.host.querySelector<HTMLElement>('en-add-wish input')?.focus());
    }
  }

  private put(index: number, wish: Wish): void {
    const { weight } = this.wishing.wishes()[index];
    this.wishing.change(index, weight === undefined ? wish : { ...wish, weight });
  }
}

/** How many cases are right; of a procedure those of its proof. */
const sayRight = (check: WishCheck | undefined, { kind }: Wish): string => {
  if (!check) return '';
  return kind === 'procedure' ? check.cases[0].says : `${check.of - check.broken} of ${check.of}`;
};

/** The first cases that are broken, in one line. */
const sayBroken = (check: WishCheck | undefined): string => {
  const broken = (check?.cases ?? []).filter(({ ok }) => !ok);
  const told = broken
    .slice(0, MOST_TOLD)
    .map(({ says, cut }) => (cut === undefined ? says : `cut ${cut}: ${says}`));
  return [...told, ...(broken.length > MOST_TOLD ? ['…'] : [])].join(' · ');
};

/** The wish that cuts and moves are said around. */
const innermost = (wish: Wish): Wish => {
  const inner = innerOf(wish);
  return inner ? innermost(inner) : wish;
};

const withInnermost = (wish: Wish, inner: Wish): Wish =>
  wish.kind === 'at cuts' || wish.kind === 'after'
    ? { ...wish, wish: withInnermost(wish.wish, inner) }
    : inner;
