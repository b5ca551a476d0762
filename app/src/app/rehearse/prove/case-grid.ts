import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { caseGrid, Cell, CellEnd, clearestAxes, gridRows } from '@enumeron/core/file/rehearse/caseGrid';
import { CaseTable } from '@enumeron/core/file/rehearse/study';
import { scaleBand } from 'd3-scale';
import { AsTable, TableRow } from '../../ui/charts/as-table';

const [WIDTH, LEFT, TOP] = [420, 34, 16];
/** The height of a strip, and the most of a grid. */
const [STRIP, HIGHEST] = [40, 236];

/** A cell as a path: a square that works, a small one that ends in the out, a diamond that fails. */
const SHAPES: Readonly<Record<CellEnd, (x: number, y: number, w: number, h: number) => string>> = {
  held: (x, y, w, h) => `M${x} ${y}h${w}v${h}h${-w}z`,
  outs: (x, y, w, h) => `M${x + w * 0.3} ${y + h * 0.3}h${w * 0.4}v${h * 0.4}h${-w * 0.4}z`,
  failed: (x, y, w, h) => `M${x + w / 2} ${y}L${x + w} ${y + h / 2}L${x + w / 2} ${y + h}L${x} ${y + h / 2}z`,
};
const ENDS = ['held', 'outs', 'failed'] as const;

/** Every case by one choice or two: a strip or a grid of what held, ended in an out, or failed. */
@Component({
  selector: 'en-case-grid',
  imports: [AsTable],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './case-grid.html',
  styleUrl: './case-grid.scss',
})
export class CaseGrid {
  readonly cases = input.required<CaseTable>();
  /** The case that is acted out. */
  readonly chosen = input<readonly number[]>([]);
  /** All choices of the case that was pressed. */
  readonly picked = output<readonly number[]>();

  private readonly axes = linkedSignal<readonly [number, number | undefined]>(() =>
    clearestAxes(this.cases()),
  );
  protected readonly names = computed(() => this.cases().names);
  protected readonly across = computed(() => this.axes()[0]);
  protected readonly down = computed(() => this.axes()[1]);

  private readonly grid = computed(() => caseGrid(this.cases(), this.across(), this.down()));
  private readonly scales = computed(() => {
    const { columns, rows } = this.grid();
    const height = rows.length > 1 ? Math.min(HIGHEST, Math.max(60, rows.length * 22)) : STRIP;
    return {
      height,
      x: scaleBand<number>().domain(columns).range([LEFT, WIDTH]).paddingInner(0.12),
      y: scaleBand<number>()
        .domain(rows)
        .range([TOP, TOP + height])
        .paddingInner(0.12),
    };
  });
  protected readonly box = computed(
    () => `0 0 ${WIDTH.toString()} ${(TOP + this.scales().height + 4).toString()}`,
  );
  protected readonly paths = computed(() => {
    const { x, y } = this.scales();
    const [w, h] = [x.bandwidth(), y.bandwidth()];
    const drawn = { held: '', outs: '', failed: '' };
    for (const { column, row, end } of this.grid().cells)
      drawn[end] += SHAPES[end](round(x(column)), round(y(row)), round(w), round(h));
    return ENDS.map((end) => ({ end, d: drawn[end] }));
  });
  protected readonly ticks = computed(() => {
    const { columns, rows } = this.grid();
    const { x, y } = this.scales();
    return {
      x: some(columns).map((value) => ({ value, at: round(x(value)) + x.bandwidth() / 2 })),
      y:
        this.down() === undefined
          ? []
          : some(rows).map((value) => ({ value, at: round(y(value)) + y.bandwidth() / 2 })),
    };
  });
  /** The frame about the case that is acted out. */
  protected readonly here = computed(() => {
    const [chosen, down] = [this.chosen(), this.down()];
    const [column, row] = [chosen.at(this.across()), down === undefined ? 0 : chosen.at(down)];
    const { x, y } = this.scales();
    const [left, top] = [
      column === undefined ? undefined : x(column),
      row === undefined ? undefined : y(row),
    ];
    if (left === undefined || top === undefined) return undefined;
    return { x: left - 2, y: top - 2, width: x.bandwidth() + 4, height: y.bandwidth() + 4 };
  });
  protected readonly columns = computed(() => {
    const down = this.down();
    return [down === undefined ? '' : this.names()[down], 'works', 'out', 'fails'];
  });
  protected readonly rows = (): readonly TableRow[] =>
    gridRows(this.grid()).map(({ row, held, outs, failed }) => ({
      head: this.down() === undefined ? this.names()[this.across()] : row,
      cells: [held, outs, failed],
    }));
  protected readonly says = computed(() => {
    const [across, down] = [this.names()[this.across()], this.down()];
    return `Every case by ${across}${down === undefined ? '' : ` across and ${this.names()[down]} down`}. Arrow keys act the next case out; the table below has the same.`;
  });

  protected axis(which: 'across' | 'down', index: string): void {
    const [across, down] = this.axes();
    const value = Number(index);
    // The two change places where one is put in the other's.
    if (which === 'across') this.axes.set([value, value === down ? across : down]);
    else this.axes.set([value === across ? (down ?? across) : across, value]);
  }

  /** The arrow keys go from the case that is acted out to the next; from none to the first. */
  protected key(event: KeyboardEvent): void {
    if (!Object.hasOwn(ARROWS, event.key)) return;
    event.preventDefault();
    const { columns, rows, cells } = this.grid();
    const [right, below] = ARROWS[event.key];
    const [chosen, down] = [this.chosen(), this.down()];
    let column = columns.indexOf(chosen.at(this.across()) ?? NaN);
    let row = down === undefined ? 0 : rows.indexOf(chosen.at(down) ?? NaN);
    const at = (): Cell | undefined =>
      cells.find((cell) => cell.column === columns.at(column) && cell.row === rows.at(row));
    if (column < 0 || row < 0) {
      this.picked.emit(cells[0].values);
      return;
    }
    // Where no case is the next one in that direction is taken.
    do [column, row] = [column + right, row + below];
    while (column >= 0 && row >= 0 && column < columns.length && row < rows.length && !at());
    const cell = column < 0 || row < 0 ? undefined : at();
    if (cell) this.picked.emit(cell.values);
  }

  /** The case at a press: of several in one cell the first that fails, else the first. */
  protected press(event: MouseEvent): void {
    const svg = event.currentTarget as SVGSVGElement;
    const bounds = svg.getBoundingClientRect();
    const { x, y } = this.scales();
    const [atX, atY] = [
      ((event.clientX - bounds.left) / bounds.width) * WIDTH,
      ((event.clientY - bounds.top) / bounds.height) * (TOP + this.scales().height + 4),
    ];
    const { columns, rows, cells } = this.grid();
    const column = columns.at(Math.floor((atX - LEFT) / x.step()));
    const row = rows.at(Math.floor((atY - TOP) / y.step()));
    const cell =
      atX < LEFT || atY < TOP ? undefined : cells.find((each) => each.column === column && each.row === row);
    if (cell) this.picked.emit(cell.values);
  }
}

/** Where the arrow keys lead: so many columns and rows on. */
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const round = (value: number | undefined): number => Math.round((value ?? 0) * 100) / 100;

/** About six values of a row, the ends among them. */
const some = (values: readonly number[]): readonly number[] => {
  const apart = Math.max(1, Math.ceil(values.length / 6));
  return values.filter((_, index) => index % apart === 0);
};
