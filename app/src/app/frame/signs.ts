import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Boot } from '../boot';
import { Damage } from '../storage/damage';
import { Drafts } from '../storage/drafts';
import { Journal } from '../storage/journal';
import { Storage, Trouble } from '../storage/storage';

const TROUBLE: Readonly<Record<Trouble, string>> = {
  refused:
    'This browser keeps no data for Enumeron just now (a private window, or storage is full or switched off). ' +
    'Everything works, but what you do is lost when this tab closes. Save a backup first.',
  silent:
    'Storage does not answer. Everything works, but what you do is kept in this tab only. Another tab with ' +
    'Enumeron may be blocking it: close that one.',
  newer:
    'Your data was written by a newer Enumeron, and this one does not change it. Reload the page to ' +
    'get the newer one.',
};

/** What stands in every room while something is wrong with what is stored: what it is, and what to do about it. */
@Component({
  selector: 'en-signs',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './signs.html',
  styleUrl: '../ui/sign.scss',
})
export class Signs {
  private readonly storage = inject(Storage);
  private readonly boot = inject(Boot);
  protected readonly journal = inject(Journal);
  protected readonly drafts = inject(Drafts);
  private readonly damage = inject(Damage);

  protected readonly trouble = computed(() => {
    const trouble = this.storage.trouble();
    return trouble && TROUBLE[trouble];
  });
  protected readonly isNewer = computed(() => this.storage.trouble() === 'newer');
  /** Whether storage has answered late, after something was done. */
  protected readonly late = computed(() => this.storage.late() !== undefined);
  protected readonly unread = this.storage.unread;
  private readonly seen = signal(0);
  protected readonly damaged = computed(() => {
    const { size } = this.damage.met();
    return size > this.seen() ? size : 0;
  });

  protected keepLate(): void {
    void this.boot.keepLate();
  }

  protected reload(): void {
    location.reload();
  }

  protected seeDamaged(): void {
    this.seen.set(this.damage.met().size);
  }
}
