import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { Order, showCard, suitOf } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { packetsOf } from '@enumeron/core/weave';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { FollowedCard } from '../../nouns/weaves/weaving.store';
import { bumpLine } from './chart.geometry';

/** One card's height, and how far the packets stand apart. */
const [CARD, APART, WIDTH] = [14, 18, 520];

/** One move drawn large: the packets before it or after it, every card by name, and its line from place to place. */
@Component({
  selector: 'en-weave-drawing',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg [attr.viewBox]="box()" role="img" [attr.aria-label]="says()">
      @for (line of lines(); track line.card) {
        <g [class]="line.followed < 0 ? 'plain' : 'path-' + line.followed">
          <path class="way" [class.lower]="line.lower" [attr.d]="line.d" />
          @for (end of line.ends; track $index) {
            <text
              class="suit-{{ line.suit }}"
              [attr.x]="end.x"
              [attr.y]="end.y"
              [attr.text-anchor]="end.anchor"
            >
              {{ end.text }}
            </text>
          }
        </g>
      }
    </svg>
    <en-as-table [name]="name()" [columns]="['Card', 'before', 'after']" [rows]="rows" />`,
  styleUrls: ['./path-colours.scss', './path-chart.scss', './weave-drawing.scss'],
})
export class WeaveDrawing {
  readonly move = input.required<Move>();
  readonly name = input.required<string>();
  readonly before = input.required<Order>();
  readonly after = input.required<Order>();
  readonly followed = input.required<readonly FollowedCard[]>();

  private readonly packets = computed(() => packetsOf(this.move(), this.before().length));
  protected readonly box = computed(
    () => `0 0 ${WIDTH.toString()} ${(this.before().length * CARD + APART + 10).toString()}`,
  );

  protected readonly lines = computed(() => {
    const [before, after, packets] = [this.before(), this.after(), this.packets()];
    const to = new Map(after.map((card, index) => [card, index + 1]));
    const followed = new Map(this.followed().map(({ card }, index) => [card, index]));
    return before.map((card, index) => {
      const ends = { before: index + 1, after: to.get(card) ?? 0 };
      /** Whether the card is of the packet below, or behind it, on the side where there are packets. */
      const below = packets !== undefined && ends[packets.when] > packets.upper;
      const y = (side: 'before' | 'after'): number =>
        ends[side] * CARD + (packets?.when === side ? (below ? APART : 0) : APART / 2);
      const points = [
        { x: 92, y: y('before') },
        { x: WIDTH - 92, y: y('after') },
      ];
      return {
        ...{ card, suit: suitOf(card), from: ends.before, to: ends.after, lower: below },
        followed: followed.get(card) ?? -1,
        d: bumpLine(points[0], points[1]),
        ends: [
          { x: 84, y: points[0].y + 4, anchor: 'end', text: `${ends.before.toString()} ${showCard(card)}` },
          {
            ...{ x: WIDTH - 84, y: points[1].y + 4, anchor: 'start' },
            text: `${showCard(card)} ${ends.after.toString()}`,
          },
        ],
      };
    });
  });

  protected readonly rows = (): readonly TableRow[] =>
    this.lines().map(({ card, from, to }) => ({ head: '', card, cells: [from, to] }));

  protected readonly says = computed(() => {
    const packets = this.packets();
    const split = packets
      ? `, ${packets.when === 'before' ? 'of packets' : 'into packets'} of ${packets.upper.toString()} and ${packets.lower.toString()} cards`
      : '';
    return `${this.name()}${split}: where every card goes. The table tells it.`;
  });
}
