import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Order, showCard, speakCard } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';
import { cardPaths, packetsOf } from '@enumeron/core/weave';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { Viewport } from '../../platform/viewport';
import { FollowedCard } from '../../nouns/weaves/weaving.store';
import { columnX, Frame, pathLine, placeY, spreadLabels } from './chart.geometry';
import { PATH_MARKS } from './path-marks';

/** Labels stand at least so far apart. */
const LABEL = 17;

/** A row of moves as the ways of all cards from column to column, those of the followed cards drawn strongly. */
@Component({
  selector: 'en-path-chart',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './path-chart.html',
  styleUrls: ['./path-colours.scss', './path-chart.scss'],
})
export class PathChart {
  readonly row = input.required<readonly Move[]>();
  readonly names = input.required<readonly string[]>();
  readonly orders = input.required<readonly Order[]>();
  readonly followed = input.required<readonly FollowedCard[]>();
  /** After how many moves the rail shows the pack. */
  readonly step = input.required<number>();
  readonly stepped = output<number>();

  private readonly phone = inject(Viewport).phone;
  private readonly size = computed(() => this.orders()[0].length);
  protected readonly frame = computed<Frame>(() => {
    const [columns, least] = [Math.max(1, this.row().length), this.phone() ? 64 : 84];
    const width = Math.max(this.phone() ? 340 : 760, columns * least + 150);
    return { width, height: 440, left: 74, right: width - 74, top: 16 };
  });
  protected readonly box = computed(() => `0 0 ${this.frame().width.toString()} 500`);
  protected readonly bottom = computed(() => this.frame().top + this.frame().height);
  protected readonly wide = computed(() => this.frame().width > (this.phone() ? 340 : 760));

  /** All ways as one line: they change together. */
  protected readonly all = computed(() =>
    cardPaths(this.orders())
      .map((path) => pathLine(this.frame(), path, this.size()))
      .join(''),
  );
  protected readonly columns = computed(() =>
    // Without a move there is nothing between columns.
    (this.row().length === 0 ? [] : this.orders()).map((_, index) => ({
      x: columnX(this.frame(), index, this.row().length),
      here: index === this.step(),
    })),
  );
  /** Each move between its columns: its name, and the packets that it makes or lays together. */
  protected readonly moves = computed(() => {
    const [frame, size] = [this.frame(), this.size()];
    const y = (place: number): number => placeY(frame, place, size);
    return this.row().map((move, index) => {
      const [from, to] = [index, index + 1].map((column) => columnX(frame, column, this.row().length));
      const packets = packetsOf(move, size);
      const x = packets?.when === 'after' ? to : from;
      const bars = packets
        ? [
            { upper: true, from: 1, to: packets.upper },
            { upper: false, from: packets.upper + 1, to: packets.upper + packets.lower },
          ]
        : [];
      return {
        ...{ index, name: this.names()[index], x: (from + to) / 2, width: to - from },
        bars: bars
          .filter((bar) => bar.to >= bar.from)
          .map((bar) => ({
            ...{ upper: bar.upper, x: x - 3 },
            ...{ y: y(bar.from) - 3, height: y(bar.to) - y(bar.from) + 6 },
          })),
      };
    });
  });

  protected readonly lines = computed(() => {
    const [frame, size] = [this.frame(), this.size()];
    const shown = this.followed().flatMap(({ card, path }, index) => (path ? [{ card, path, index }] : []));
    const ends = ([0, -1] as const).map((at) =>
      spreadLabels(
        shown.map(({ path }) => placeY(frame, path.at(at) ?? 1, size)),
        LABEL,
        this.bottom(),
      ),
    );
    return shown.map(({ card, path, index }, row) => ({
      index,
      mark: PATH_MARKS[index % PATH_MARKS.length],
      d: pathLine(frame, path, size),
      signs: path.map((place, column) => ({
        x: columnX(frame, column, this.row().length),
        y: placeY(frame, place, size),
      })),
      ends: ([0, -1] as const).map((at, end) => ({
        x: end === 0 ? frame.left - 12 : frame.right + 12,
        y: ends[end][row] + 5,
        anchor: end === 0 ? 'end' : 'start',
        text:
          end === 0
            ? `${showCard(card)} ${path[0].toString()}`
            : `${(path.at(at) ?? 1).toString()} ${showCard(card)}`,
      })),
    }));
  });

  protected readonly table = computed(() =>
    this.followed().flatMap(({ card, path }) => (path ? [{ card, path }] : [])),
  );
  protected readonly heads = computed(() => ['Card', 'before', ...this.names()]);
  protected readonly rows = (): readonly TableRow[] =>
    this.table().map(({ card, path }) => ({ head: '', card, cells: path }));
  /** The chart in a sentence. */
  protected readonly says = computed(() => {
    const ways = this.table().map(
      ({ card, path }) =>
        `${speakCard(card)} goes from ${path[0].toString()} to ${(path.at(-1) ?? 1).toString()}`,
    );
    const row = this.names().join(', ') || 'no move yet';
    return `The ways of the cards: ${row}. ${ways.join('; ')}`;
  });
}
