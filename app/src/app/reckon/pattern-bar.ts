import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { Router } from '@angular/router';
import { PATTERN_NAMES } from './pattern-names';

/** What is asked of Reckon: a card at a number, or one of the other patterns. */
@Component({
  selector: 'en-pattern-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label>
    <select #field aria-label="What is asked" [value]="path()" (change)="open(field.value)">
      @for (each of asked; track each.path) {
        <option [value]="each.path" [selected]="each.path === path()">{{ each.name }}</option>
      }
    </select>
  </label>`,
  styles: `
    select {
      max-width: 19rem;
      min-height: 36px;
      font: 700 1.05rem var(--heading);
    }
    @media (max-width: 699.98px) {
      select {
        width: 100%;
        max-width: none;
        min-height: 44px;
      }
    }
  `,
})
export class PatternBar {
  private readonly router = inject(Router);
  readonly path = input.required<string>();

  protected readonly asked = [
    { path: '', name: 'A card at a number' },
    { path: 'seen', name: 'Whatever was seen: what follows?' },
    ...Object.entries(PATTERN_NAMES).map(([path, name]) => ({ path, name })),
    { path: 'shuffled', name: 'A pack thought shuffled: the moved card' },
    { path: 'map', name: 'Map: every card at every number' },
  ];

  protected open(path: string): void {
    void this.router.navigate(path === '' ? ['/reckon'] : ['/reckon', path]);
  }
}
