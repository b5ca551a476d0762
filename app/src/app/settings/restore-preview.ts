import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Preview, RestoreWay } from '../nouns/backups/backup';

/** What a backup would do, before it does it. */
@Component({
  selector: 'en-restore-preview',
  imports: [DatePipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="preview" role="region" aria-label="What the backup would do">
    <h3>The backup of {{ preview().backup.made | date: 'd MMMM y, HH:mm' }}</h3>
    @if (preview().backup.intact === false) {
      <p class="warning" role="alert">
        The file is not as it was saved: something has changed in it since. All of it can be read.
      </p>
    }
    <table>
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">New</th>
          <th scope="col">Different here</th>
          <th scope="col">The same</th>
          <th scope="col">Only here</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr>
            <th scope="row">{{ row.name }}</th>
            <td>{{ row.new }}</td>
            <td>{{ row.changed }}</td>
            <td>{{ row.same }}</td>
            <td>{{ row.removed }}</td>
          </tr>
        }
      </tbody>
    </table>
    <p class="lead">
      Replacing takes away what is only here. Adding brings what is new and leaves all that you have as it is.
      Either can be undone, and a snapshot is taken first.
    </p>
    <div class="actions">
      <button mat-flat-button (click)="chosen.emit('replace')">Replace everything</button>
      <button mat-stroked-button (click)="chosen.emit('add')">Add what is new</button>
      <button mat-button (click)="left.emit()">Cancel</button>
    </div>
  </div>`,
  styleUrl: './section.scss',
})
export class RestorePreview {
  readonly preview = input.required<Preview>();
  readonly chosen = output<RestoreWay>();
  readonly left = output();

  /** The kinds of which there is anything. */
  protected readonly rows = computed(() =>
    this.preview()
      .kinds.filter((each) => each.new + each.changed + each.same + each.removed > 0)
      .map(({ kind, ...counts }) => ({ name: kind.words[kind.single ? 0 : 1], ...counts })),
  );
}
