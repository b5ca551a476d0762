import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  input,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { urlSignal } from '../platform/url';

/** A page in the row: its address below the room's, empty for the first, and its short name. */
interface Tab {
  readonly path: string;
  readonly tab?: string;
}

/** The pages of the room that is open, as a row of links. */
@Component({
  selector: 'en-room-pages',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<nav #row aria-label="In this room">
    @for (page of tabs(); track page.path) {
      <a
        [routerLink]="page.path ? ['/', room(), page.path] : ['/', room()]"
        [attr.aria-current]="path() === page.path ? 'page' : null"
        >{{ page.tab }}</a
      >
    }
  </nav>`,
  styles: `
    nav {
      display: flex;
      position: relative;
      gap: 4px;
      overflow-x: auto;
      padding: 0 12px;
      border-bottom: 1px solid var(--line);
      scrollbar-width: none;
    }

    a {
      display: grid;
      place-items: center;
      min-height: 44px;
      padding: 0 12px;
      border-bottom: 3px solid transparent;
      color: var(--muted);
      font-weight: 600;
      text-decoration: none;
      white-space: nowrap;

      /* The row clips what stands out of it. */
      &:focus-visible {
        outline-offset: -3px;
      }

      &[aria-current] {
        border-bottom-color: var(--petrol);
        color: var(--ink);
      }
    }
  `,
})
export class RoomPages {
  /** The room's address. */
  readonly room = input.required<string>();
  /** Those without a short name are left out. */
  readonly pages = input.required<readonly Tab[]>();
  protected readonly tabs = computed(() => this.pages().filter(({ tab }) => tab !== undefined));

  private readonly url = urlSignal();
  private readonly row = viewChild.required<ElementRef<HTMLElement>>('row');
  protected readonly path = computed(() => this.url().split(/[?#]/)[0].split('/').at(2) ?? '');

  constructor() {
    // The row is wider than a phone: the page that is open is drawn into sight, when the browser lays the room out.
    afterRenderEffect({
      read: () => {
        const [row, path] = [this.row().nativeElement, this.path()];
        const open = this.tabs().findIndex((each) => each.path === path);
        requestAnimationFrame(() => drawIntoSight(row, row.querySelectorAll('a').item(open)));
      },
    });
  }
}

const drawIntoSight = (row: HTMLElement, page: HTMLElement | null): void => {
  if (page) row.scrollLeft = Math.max(0, page.offsetLeft - (row.clientWidth - page.offsetWidth) / 2);
};
