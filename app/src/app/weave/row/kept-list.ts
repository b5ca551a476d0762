import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { nameProblem } from '@enumeron/core/file/formats/name';
import { moveName } from '@enumeron/core/weave';
import { WeaveRowRow } from '../../nouns/weaves/weave-rows.kind';
import { once } from '../../platform/once';
import { KeptRows } from '../../nouns/weaves/kept.store';
import { SampleLine } from '../sample-line';
import { WeavingStore } from '../../nouns/weaves/weaving.store';

/** Rows under their names: the one that is worked on is kept, one that was kept is worked on again. */
@Component({
  selector: 'en-kept-list',
  imports: [MatButton, SampleLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3 id="kept-title">Saved rows</h3>
    <en-sample-line />
    @if (store.row().length > 0) {
      <form (submit)="$event.preventDefault(); keep()">
        <input
          #field
          aria-label="Name of the row"
          placeholder="Name of the row"
          autocomplete="off"
          [value]="name()"
          (input)="name.set(field.value)"
        />
        <button mat-stroked-button type="submit">Save this row</button>
        @if (problem(); as sentence) {
          <p class="problem" role="alert">{{ sentence }}</p>
        }
      </form>
    }
    <ul aria-labelledby="kept-title">
      @for (row of rows(); track row.id) {
        <li>
          <button type="button" class="link" (click)="use(row.kept)">{{ row.name }}</button>
          <span class="moves">{{ row.moves }}</span>
          <button
            type="button"
            class="link small"
            [attr.aria-label]="'Remove ' + row.name"
            (click)="remove(row.kept)"
          >
            Remove
          </button>
        </li>
      } @empty {
        <li class="note">None yet.</li>
      }
    </ul>`,
  styleUrls: ['../../ui/page.scss', './kept-list.scss'],
})
export class KeptList {
  protected readonly store = inject(WeavingStore);
  private readonly kept = inject(KeptRows);

  protected readonly name = signal('');
  private readonly tried = signal(false);
  protected readonly problem = computed(() => (this.tried() ? nameProblem(this.name()) : undefined));
  protected readonly rows = computed(() =>
    this.kept.all().map((kept) => ({
      ...{ kept, id: kept.id, name: kept.name },
      moves: kept.row.map(moveName).join(', '),
    })),
  );

  protected readonly keep = once('keep a row', async () => {
    this.tried.set(true);
    if (this.problem() !== undefined) return;
    await this.kept.keep(this.name(), this.store.row());
    this.tried.set(false);
    this.name.set('');
  });

  protected readonly remove = once('remove a row', (row: WeaveRowRow) => this.kept.remove(row));

  protected use({ name, row }: WeaveRowRow): void {
    this.store.use(row, `work on the row ${name}`);
  }
}
