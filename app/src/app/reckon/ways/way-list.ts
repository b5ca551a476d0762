import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { RovingGrid } from '../../ui/roving-grid';
import { Way, WAYS } from './ways';
import { WayPicture } from './way-picture';

const matches = ({ name, words, seen, asked }: Way, typed: string): boolean =>
  typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => [name, words, seen, asked].some((text) => text.toLowerCase().includes(part)));

/** All ways into Reckon, in sight: the last used first, narrowed down by what is typed. */
@Component({
  selector: 'en-way-list',
  imports: [RouterLink, RovingGrid, WayPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<nav aria-label="Methods">
    <input
      #field
      type="search"
      aria-label="Find a method: what was seen, what is asked"
      placeholder="find a method"
      autocomplete="off"
      spellcheck="false"
      maxlength="40"
      (input)="typed.set(field.value)"
      (keydown.enter)="openFirst()"
      (keydown.escape)="clear()"
    />
    <ul [enRovingGrid]="1">
      @for (way of shown(); track way.path) {
        <li>
          <a
            data-cell
            [routerLink]="way.path === '' ? '/reckon' : '/reckon/' + way.path"
            [attr.aria-current]="way.path === path() ? 'page' : null"
            [title]="way.name + '. Seen: ' + way.seen + '. Asked: ' + way.asked + '.'"
            (click)="clear()"
          >
            <en-way-picture [picture]="way.picture" />
            <span class="words">{{ way.words }}</span>
          </a>
        </li>
      } @empty {
        <li class="none">Nothing here matches “{{ typed() }}”. Try cut, gap, bank or number.</li>
      }
    </ul>
  </nav>`,
  styleUrl: './way-list.scss',
})
export class WayList {
  private readonly router = inject(Router);
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  /** The address of the way that is open. */
  readonly path = input.required<string>();
  /** Ways that were sent here from another room. */
  readonly sent = input<readonly Way[]>([]);
  /** Addresses of ways, the last used first. */
  readonly lately = input<readonly string[]>([]);

  protected readonly typed = signal('');
  /** The order of the first moment: what is under the finger stays there. */
  private readonly order = linkedSignal<readonly string[], readonly Way[]>({
    source: this.lately,
    computation: (lately, before) =>
      before?.value ?? [...WAYS].sort((a, b) => this.rank(lately, a) - this.rank(lately, b)),
  });
  protected readonly shown = computed(() => {
    const typed = this.typed().trim();
    const all = [...this.order(), ...this.sent()];
    return typed === '' ? all : all.filter((way) => matches(way, typed));
  });

  private rank(lately: readonly string[], { path }: Way): number {
    const at = lately.indexOf(path);
    return at < 0 ? lately.length + WAYS.findIndex((way) => way.path === path) : at;
  }

  protected openFirst(): void {
    const [first] = this.shown();
    if (!(first as unknown) || this.typed().trim() === '') return;
    this.clear();
    void this.router.navigate(first.path === '' ? ['/reckon'] : ['/reckon', first.path]);
  }

  protected clear(): void {
    this.typed.set('');
    this.field().nativeElement.value = '';
  }
}
