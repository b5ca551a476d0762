import { ChangeDetectionStrategy, Component } from '@angular/core';
import { IsActiveMatchOptions, RouterLink, RouterLinkActive } from '@angular/router';

/** The ways to make an order. */
@Component({
  selector: 'en-new-tabs',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h2>New order</h2>
    <nav class="tabs" aria-label="Ways to make an order">
      @for (way of ways; track way.path) {
        <a [routerLink]="way.path" routerLinkActive="here" [routerLinkActiveOptions]="exactly">{{
          way.name
        }}</a>
      }
    </nav>`,
})
export class NewTabs {
  /** A page is the same with what its address brings. */
  protected readonly exactly: IsActiveMatchOptions = {
    ...{ paths: 'exact', queryParams: 'ignored', fragment: 'ignored', matrixParams: 'ignored' },
  };
  protected readonly ways = [
    { path: '/arrange/new', name: 'Write or paste' },
    { path: '/arrange/new/rule', name: 'By rule' },
    { path: '/arrange/new/wishes', name: 'By wishes' },
    { path: '/arrange/new/recipe', name: 'By recipe' },
    { path: '/arrange/new/bank', name: 'A bank' },
    { path: '/arrange/new/random', name: 'At random' },
  ];
}
