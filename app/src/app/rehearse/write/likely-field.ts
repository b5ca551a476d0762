import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { Likely } from '@enumeron/core/file/procedure/procedure';

/** `12: 3, 13: 5` as a table of weights; undefined where it is none. */
const tableIn = (text: string): Readonly<Record<string, number>> | undefined => {
  const rows = text.split(/[,;\n]/).filter((row) => row.trim() !== '');
  const read = rows.map((row) => /^\s*(-?\d+)\s*[:=]\s*(\d+(?:\.\d+)?)\s*$/.exec(row));
  return read.every((row) => row !== null)
    ? Object.fromEntries(read.map(([, value, weight]) => [value, Number(weight)]))
    : undefined;
};

/** How likely each value of a choice is: all alike, about one of them, or by a table. */
@Component({
  selector: 'en-likely-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label>
      likely
      <select #kind (change)="begin(kind.value)">
        <option value="alike" [selected]="is() === 'alike'">each alike</option>
        <option value="around" [selected]="is() === 'around'">about</option>
        <option value="table" [selected]="is() === 'table'">by a table</option>
      </select>
    </label>
    @if (around(); as normal) {
      <label>
        <span class="spoken">About</span>
        <input
          #about
          type="number"
          step="any"
          [value]="normal.around"
          (input)="write(about.value, within.value)"
        />
      </label>
      <label>
        within
        <input
          #within
          type="number"
          step="any"
          min="0"
          [value]="normal.within"
          (input)="write(about.value, within.value)"
        />
      </label>
    }
    @if (is() === 'table') {
      <label>
        weights
        <input
          #rows
          class="table"
          placeholder="12: 3, 13: 5"
          [value]="typed() ?? table()"
          [attr.aria-invalid]="isUnread()"
          (input)="writeTable(rows.value)"
          (blur)="leave()"
        />
      </label>
      @if (isUnread()) {
        <p class="problem" role="alert">
          Write each value with its weight, such as 12: 3, 13: 5. What was there before stays.
        </p>
      }
    }`,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      gap: 0 8px;
    }

    label {
      display: inline-flex;
      gap: 6px;
      align-items: center;
      min-height: var(--target);
    }

    select,
    input {
      min-height: 34px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      color: var(--ink);
      font: 0.9rem var(--mono);
    }

    input {
      width: 4.4rem;
    }

    .table {
      width: 14rem;
    }

    .problem {
      flex-basis: 100%;
      margin: 0;
      color: var(--red);
    }

    @media (max-width: 43.749em) {
      select,
      input {
        min-height: 44px;
      }
    }
  `,
})
export class LikelyField {
  readonly likely = input<Likely>();
  readonly written = output<Likely | undefined>();

  protected readonly is = computed(() => {
    const likely = this.likely();
    return !likely ? 'alike' : 'table' in likely ? 'table' : 'around';
  });
  protected readonly around = computed(() => {
    const likely = this.likely();
    return likely && 'around' in likely ? likely : undefined;
  });
  protected readonly table = computed(() => {
    const likely = this.likely();
    if (!likely || !('table' in likely)) return '';
    return Object.entries(likely.table)
      .map(([value, weight]) => `${value}: ${weight.toString()}`)
      .join(', ');
  });

  /** What is written of a table, until it is left; what is none stays. */
  protected readonly typed = signal<string | undefined>(undefined);
  protected readonly isUnread = computed(() => {
    const text = this.typed();
    return text !== undefined && tableIn(text) === undefined;
  });

  protected begin(kind: string): void {
    if (kind === 'around') this.written.emit({ around: 26, within: 5 });
    else this.written.emit(kind === 'table' ? { table: { '26': 1 } } : undefined);
  }

  protected write(about: string, within: string): void {
    const [around, spread] = [Number(about), Number(within)];
    if (about !== '' && Number.isFinite(around) && spread > 0) this.written.emit({ around, within: spread });
  }

  protected leave(): void {
    if (!this.isUnread()) this.typed.set(undefined);
  }

  protected writeTable(text: string): void {
    this.typed.set(text);
    const table = tableIn(text);
    if (table) this.written.emit({ table });
  }
}
