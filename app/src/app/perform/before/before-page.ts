import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { titled } from '../../ui/titled';
import { SetDesk } from '../sets/set-desk';
import { BeforeList } from './before-list';

/** Before you go on: a checklist made from a set, ticked off, and the dressing table on paper. */
@Component({
  selector: 'en-before-page',
  imports: [BeforeList, RouterLink],
  providers: [SetDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (desk.set(); as set) {
      <section>
        <h2>Before you go on: {{ set.name }}</h2>
        <p class="lead">{{ says() }} <a [routerLink]="['/perform', desk.id()]">The set</a></p>
        <en-before-list [id]="id()" />
      </section>
    } @else if (desk.isRead()) {
      <section>
        <h2>There is no such set</h2>
        <p class="lead">
          It may have been removed; undo brings it back. <a routerLink="/perform">All sets</a>
        </p>
      </section>
    }`,
  styleUrl: '../../ui/page.scss',
  styles: `
    a {
      color: var(--petrol);
    }
  `,
})
export class BeforePage {
  protected readonly desk = inject(SetDesk);

  readonly id = input.required<string>();
  protected readonly says = computed(() => {
    const { length } = this.desk.lines();
    const interval = this.desk.interval();
    return `${countOf(length, 'routine')}, ${countOf(this.desk.minutes(), 'minute')}${interval === undefined ? '' : `, an interval after ${countOf(interval, 'routine')}`}.`;
  });

  constructor() {
    titled('Perform', () => {
      const name = this.desk.set()?.name;
      return name && `Before you go on · ${name}`;
    });
    effect(() => {
      const id = this.id();
      untracked(() => this.desk.id.set(id));
    });
  }
}
