import { ChangeDetectionStrategy, Component, inject, resource } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Damage, Damaged } from '../storage/damage';
import { kindNamed } from '../nouns/kinds';
import { download } from '../platform/download';

/** Stored rows that cannot be read: to be looked at, saved as they are, or removed. */
@Component({
  selector: 'en-damaged-section',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="damaged">
    <h2 id="damaged">Damaged rows</h2>
    @if (rows.value(); as damaged) {
      @if (damaged.length === 0) {
        <p class="lead">Everything that is stored can be read.</p>
      } @else {
        <p class="lead">
          These stored rows cannot be read. They are left as they are, and are in every backup.
        </p>
        <ul class="rows">
          @for (row of damaged; track $index) {
            <li>
              <span
                >{{ nameOf(row) }} <span class="note">{{ row.problem }}</span></span
              >
              <span class="actions">
                <button mat-button (click)="save(row)">Save as a file</button>
                <button mat-button (click)="remove(row)">Remove</button>
              </span>
            </li>
          }
        </ul>
      }
    } @else if (rows.error()) {
      <p class="lead" role="alert">What is stored cannot be read just now.</p>
    } @else {
      <p class="lead">Looking …</p>
    }
  </section>`,
  styleUrl: './section.scss',
})
export class DamagedSection {
  private readonly damage = inject(Damage);
  protected readonly rows = resource({ loader: () => this.damage.all() });

  /** What it is to people, where its kind is known, and its key. */
  protected nameOf({ kind, key }: Damaged): string {
    const word = kindNamed(kind)?.words[0] ?? kind;
    return key === kind ? word : `${word} ${key}`;
  }

  protected save({ kind, key, text }: Damaged): void {
    download(text, `damaged-${kind}-${key.replace(/[^\w-]/g, '_')}.json`, 'application/json');
  }

  protected async remove(row: Damaged): Promise<void> {
    await this.damage.remove(row);
    this.rows.reload();
  }
}
