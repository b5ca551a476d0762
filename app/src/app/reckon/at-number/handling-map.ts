import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { Router } from '@angular/router';
import { showCard } from '@enumeron/core/deck';
import { describeHandling, handlingMap, handlings, Need, NEEDS, toleratedFirst } from '@enumeron/core/reckon';
import { scaleBand } from 'd3-scale';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { WantedStore } from '../../nouns/pack/wanted.store';
import { CardText } from '../../ui/card-text';

/** The side of the drawing, in its own units. */
const SIDE = 520;

const NEED_WORDS: Readonly<Record<Need, string>> = {
  nothing: 'nothing',
  little: 'a few cards',
  cut: 'a cut in the open',
  more: 'more than you like',
};

const ARROWS: Readonly<Partial<Record<string, readonly [number, number]>>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What every card at every number needs as the pack lies now: cards down by their places, numbers across. */
@Component({
  selector: 'en-handling-map',
  imports: [CardText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './handling-map.html',
  styleUrl: './handling-map.scss',
})
export class HandlingMap {
  private readonly router = inject(Router);
  private readonly pack = inject(PackStore);
  private readonly wanted = inject(WantedStore);
  private readonly tolerance = inject(SettingsStore).tolerance;

  protected readonly side = SIDE;
  private readonly map = computed(() => handlingMap(this.pack.now(), this.tolerance()));
  private readonly band = computed(() =>
    scaleBand<number>()
      .domain(this.pack.now().map((_, index) => index + 1))
      .range([0, SIDE])
      .paddingInner(0.12),
  );
  protected readonly step = computed(() => this.band().bandwidth());
  protected readonly ticks = computed(() =>
    this.band()
      .domain()
      .filter((number) => number === 1 || number % 5 === 0)
      .map((number) => ({ number, at: this.at(number) + this.step() / 2 })),
  );

  /** One path for all squares of a kind: 2,704 squares in four strokes. */
  protected readonly layers = computed(() =>
    NEEDS.map((need) => {
      const squares = this.map().flatMap((row, place) =>
        row.flatMap((each, index) => (each === need ? [this.square(index + 1, place + 1)] : [])),
      );
      return { need, words: NEED_WORDS[need], path: squares.join(''), count: squares.length };
    }),
  );

  /** The pair that is looked at: what is wanted, or else the first. */
  protected readonly cursor = linkedSignal(() => ({
    place: this.wanted.place() ?? 1,
    number: Math.min(this.wanted.number() ?? 1, this.pack.size()),
  }));
  protected readonly box = computed(() => ({
    x: this.at(this.cursor().number),
    y: this.at(this.cursor().place),
  }));
  protected readonly says = computed(() => {
    const { place, number } = this.cursor();
    const card = this.pack.now()[place - 1];
    const [best] = toleratedFirst(handlings(this.pack.now(), card, number), this.tolerance());
    return `${showCard(card)} at ${number.toString()}: ${describeHandling(best)}`;
  });

  private at(number: number): number {
    return this.band()(number) ?? 0;
  }

  private square(number: number, place: number): string {
    const side = this.step();
    return `M${this.at(number).toFixed(2)} ${this.at(place).toFixed(2)}h${side.toFixed(2)}v${side.toFixed(2)}h-${side.toFixed(2)}z`;
  }

  protected point(event: PointerEvent): void {
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const size = this.pack.size();
    const cell = (from: number, length: number): number =>
      Math.min(size, Math.max(1, Math.ceil((from / length) * size)));
    this.cursor.set({
      place: cell(event.clientY - box.top, box.height),
      number: cell(event.clientX - box.left, box.width),
    });
  }

  protected key(event: KeyboardEvent): void {
    const arrow = ARROWS[event.key];
    if (event.key === 'Enter') void this.reckon();
    if (!arrow) return;
    event.preventDefault();
    const size = this.pack.size();
    const within = (value: number): number => Math.min(size, Math.max(1, value));
    this.cursor.update(({ place, number }) => ({
      place: within(place + arrow[1]),
      number: within(number + arrow[0]),
    }));
  }

  /** Takes the pair into Reckon. */
  protected async reckon(): Promise<void> {
    const { place, number } = this.cursor();
    void this.wanted.want({ card: this.pack.now()[place - 1], number });
    await this.router.navigate(['/reckon']);
  }
}
