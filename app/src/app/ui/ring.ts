import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Card, mod, placeOf, showCard, suitOf } from '@enumeron/core/deck';
import { arcBetween, gapAngle, placeAngle, pointAt, RADIUS } from './ring.geometry';

/** The pack drawn as a circle: the seam is a hand, and what a cut does is an arc from place to number. */
@Component({
  selector: 'en-ring',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ring.html',
  styleUrl: './ring.scss',
})
export class Ring {
  readonly now = input.required<readonly Card[]>();
  /** How far the pack is turned, or undefined when it is out of step. */
  readonly offset = input<number>();
  /** How far it will be turned after what is to be done. */
  readonly offsetAfter = input<number>();
  readonly card = input<Card>();
  /** The place from 1 to which the card is wanted. */
  readonly number = input<number>();

  private readonly size = computed(() => this.now().length);
  private readonly place = computed(() => {
    const card = this.card();
    return card === undefined ? undefined : placeOf(this.now(), card);
  });

  protected readonly ticks = computed(() =>
    Array.from({ length: this.size() }, (_, index) => {
      const long = index % Math.max(1, Math.round(this.size() / 4)) === 0;
      return {
        long,
        from: pointAt(placeAngle(index + 1, this.size()), long ? RADIUS.longTick : RADIUS.tick - 5),
        to: pointAt(placeAngle(index + 1, this.size()), RADIUS.tick),
      };
    }),
  );

  protected readonly hand = computed(() => {
    const offset = this.offset();
    if (offset === undefined) return undefined;
    const angle = gapAngle(mod(-offset, this.size()), this.size());
    return { from: pointAt(angle, RADIUS.hand), to: pointAt(angle, RADIUS.tick + 4) };
  });

  protected readonly arc = computed(() => {
    const [place, number] = [this.place(), this.number()];
    return place === undefined || number === undefined ? '' : arcBetween(place, number, this.size());
  });

  protected readonly labels = computed(() => {
    const [card, place, number] = [this.card(), this.place(), this.number()];
    const label = (at: number, text: string, suit?: number): RingLabel => {
      const point = pointAt(placeAngle(at, this.size()), RADIUS.label);
      const anchor = point.x > 20 ? 'start' : point.x < -20 ? 'end' : 'middle';
      return { ...point, y: point.y + 4, text, suit, anchor };
    };
    return [
      ...(place === undefined || card === undefined
        ? []
        : [label(place, `${showCard(card)} ${place}`, suitOf(card))]),
      ...(number === undefined || number === place ? [] : [label(number, `${number}`)]),
    ];
  });

  protected readonly centre = computed(() => {
    const [before, after] = [this.offset(), this.offsetAfter()];
    if (before === undefined) return { text: '–', note: 'out of step' };
    return {
      text: after === undefined || after === before ? `${before}` : `${before} → ${after}`,
      note: 'cut at',
    };
  });

  protected readonly words = computed(() => {
    const { text, note } = this.centre();
    return [
      `The pack as a ring: ${note} ${text.replace('→', 'to')}`,
      ...this.labels().map((label) => label.text),
    ].join(', ');
  });
}

interface RingLabel {
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly suit: number | undefined;
  readonly anchor: 'start' | 'middle' | 'end';
}
