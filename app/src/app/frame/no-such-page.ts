import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { RouterLink } from '@angular/router';
import { urlSignal } from '../platform/url';
import { FIRST_ROOM } from '../rooms';
import { nearestPages } from './nearest-pages';

/** An address that leads nowhere, and the pages whose address comes nearest to it. */
@Component({
  selector: 'en-no-such-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section class="sheet">
    <h1>There is no such page</h1>
    <p class="lead">Nothing is at {{ address() }}. Did you mean one of these?</p>
    <ul>
      @for (page of pages(); track page.address) {
        <li>
          <a [routerLink]="page.address">{{ page.name }}</a>
        </li>
      }
      <li>
        <a [routerLink]="['/', first.path]">{{ first.name }}</a>
      </li>
    </ul>
  </section>`,
  styles: `
    .sheet {
      padding: 20px;
    }

    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }

    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--petrol);
      font-weight: 600;
    }
  `,
})
export class NoSuchPage {
  private readonly url = urlSignal();
  protected readonly first = FIRST_ROOM;
  protected readonly address = computed(() => this.url().split(/[?#]/)[0].slice(0, 60));
  protected readonly pages = computed(() => nearestPages(this.address()));
}
