import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Router } from '@angular/router';
import { behindOthers } from '@enumeron/core/file/perform/behindOthers';
import { sayLeaves, sayNeed } from '@enumeron/core/file/perform/say';
import { Viewport } from '../../platform/viewport';
import { CardText } from '../../ui/card-text';
import { dragLines } from '../../ui/drag-lines';
import { StateRail } from '../state-rail';
import { afterwards, junctionWords, sayTime } from './junction-words';
import { SetChosen } from './set-chosen';
import { SetDesk, SetLine } from './set-desk';

/** How far a press of Alt and an arrow moves. */
const STEPS: Readonly<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1 };

/** The routines of a set in turn, with what each needs and leaves, and every junction between them. */
@Component({
  selector: 'en-set-list',
  imports: [CardText, SetChosen, StateRail],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-list.html',
  styleUrl: './set-list.scss',
})
export class SetList {
  protected readonly desk = inject(SetDesk);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly list = viewChild.required<ElementRef<HTMLElement>>('list');
  protected readonly phone = inject(Viewport).phone;
  protected readonly time = sayTime;

  private readonly words = computed(() => junctionWords(this.desk.junctions(), this.desk.homeOf));
  protected readonly severalPacks = computed(() => this.desk.packs().length > 1);
  protected readonly lines = computed(() => {
    const words = new Map(this.words().map((each) => [each.before, each]));
    const interval = this.desk.interval();
    return this.desk.lines().map((line, index) => ({
      ...line,
      number: index + 1,
      isFirst: index === 0,
      opensSecondHalf: index > 0 && index === interval,
      junction: words.get(line.id)?.packs ?? [],
      needs: this.severalPacks()
        ? line.facts.map((each) => `${each.pack}: ${sayNeed(each.needs, each.home)}`).join('; ')
        : line.facts.map((each) => sayNeed(each.needs, each.home)).join('; '),
      leaves: line.facts.map((each) => sayLeaves(each.leaves, each.home)).join('; '),
      isWaiting: line.facts.some((each) => each.isWaiting),
      mustSay: line.facts.some((each) => each.mustSay),
    }));
  });
  protected readonly after = computed(() => afterwards(this.desk.junctions(), this.desk.homeOf));

  /** The junction whose alternatives are shown, by the routine behind it. */
  protected readonly opened = signal('');
  protected readonly elsewhere = computed(() => {
    const [wish, id] = [this.desk.asked(), this.opened()];
    if (!wish || id === '') return [];
    return behindOthers(wish, id, this.desk.costs()).map(({ behind, price }) => ({
      where: behind === undefined ? 'at the beginning' : `behind ${this.desk.nameOf(behind)}`,
      costs: price[0] > 0 ? 'cannot be mended' : price[2] === 0 ? 'nothing' : sayTime(price[2]),
    }));
  });

  constructor() {
    dragLines({
      list: () => this.list().nativeElement,
      key: () =>
        this.lines()
          .map(({ id }) => id)
          .join(),
      dropped: (id, index) => this.desk.move(id, index),
    });
    effect(() => {
      const id = this.desk.wanted();
      this.lines();
      if (id === undefined) return;
      untracked(() =>
        afterNextRender(
          {
            read: () => {
              const line = this.host.querySelector<HTMLElement>(`[data-line="${id}"]`);
              line?.focus();
              if (line) this.desk.wanted.set(undefined);
            },
          },
          { injector: this.injector },
        ),
      );
    });
  }

  protected toggle(id: string): void {
    this.opened.update((open) => (open === id ? '' : id));
  }

  protected open({ id }: SetLine): void {
    void this.router.navigate(['/perform/routines', id]);
  }

  protected key(event: KeyboardEvent, line: SetLine, index: number): void {
    if (event.target !== event.currentTarget || event.ctrlKey || event.metaKey) return;
    if (!this.act(event, line, index)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** What a key does on a line. Gives whether it does anything. */
  private act({ key, altKey }: KeyboardEvent, line: SetLine, index: number): boolean {
    if (Object.hasOwn(STEPS, key)) {
      if (altKey) this.desk.move(line.id, index + STEPS[key]);
      else this.go(index + STEPS[key]);
      return true;
    }
    switch (key) {
      case 'Home':
      case 'End':
        this.go(key === 'Home' ? 0 : this.lines().length - 1);
        return true;
      case 'Enter':
        this.open(line);
        return true;
      case 'Delete':
      case 'Backspace':
        this.desk.takeOut(line.id);
        return true;
      default:
        return false;
    }
  }

  private go(index: number): void {
    const line = this.lines().at(Math.max(0, Math.min(this.lines().length - 1, index)));
    if (!line) return;
    this.desk.chosen.set(line.id);
    // At once: the next press of the key is that line's.
    this.host.querySelector<HTMLElement>(`[data-line="${line.id}"]`)?.focus();
  }

  protected intervalKey(event: KeyboardEvent): void {
    const at = this.desk.interval();
    if (at === undefined || event.target !== event.currentTarget) return;
    if (event.key === 'Delete' || event.key === 'Backspace') this.desk.setInterval(undefined);
    else if (event.altKey && Object.hasOwn(STEPS, event.key)) this.shiftInterval(STEPS[event.key]);
    else return;
    event.preventDefault();
  }

  /** Moves the interval by so many routines: one at least stays on either side. */
  protected shiftInterval(by: number): void {
    const at = this.desk.interval();
    if (at === undefined) return;
    const to = at + by;
    if (to < 1 || to >= this.lines().length) return;
    this.desk.setInterval(to);
    // It stands elsewhere now, as another element: the focus goes along.
    afterNextRender(
      { read: () => this.host.querySelector<HTMLElement>('.interval')?.focus() },
      { injector: this.injector },
    );
  }
}
