import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { Tolerance } from '@enumeron/core/reckon';
import { SettingsStore } from '../nouns/settings/settings.store';
import { DamagedSection } from './damaged-section';
import { DataSection } from './data-section';
import { EraseSection } from './erase-section';
import { InstalledSection } from './installed-section';
import { THEMES } from '../nouns/settings/settings.kind';
import { Choice } from '../ui/choice';

type Theme = (typeof THEMES)[number];

/** How Enumeron looks and acts, and what it keeps: backup, restore, sample orders, erase. */
@Component({
  selector: 'en-settings-room',
  imports: [Choice, DamagedSection, DataSection, EraseSection, InstalledSection, MatSlideToggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-room.html',
  styleUrl: './settings-room.scss',
})
export class SettingsRoom {
  private readonly store = inject(SettingsStore);

  protected readonly settings = this.store.settings;
  protected readonly themes = THEMES;
  protected readonly themeWords = (theme: Theme): string =>
    ({ system: 'As the system', paper: 'Paper', wings: 'Wings' })[theme];
  protected readonly tolerance = this.store.tolerance;
  protected readonly counts = Array.from({ length: 13 }, (_, index) => index);
  protected readonly handlings = [
    { name: 'turnTheNext', words: 'Deal to the number and turn the next card' },
    { name: 'fromTheFace', words: 'Count from the face' },
    { name: 'cut', words: 'A cut in the open' },
    { name: 'hold', words: 'Steer them to another number' },
  ] as const;
  protected readonly change = (part: Parameters<SettingsStore['change']>[0]): unknown =>
    this.store.change(part);

  protected tolerate(part: Partial<Tolerance>): void {
    void this.store.tolerate(part);
  }

  protected tolerateWay(name: (typeof this.handlings)[number]['name'], used: boolean): void {
    this.tolerate({ [name]: used });
  }
}
