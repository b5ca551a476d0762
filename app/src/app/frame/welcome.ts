import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { LatelyStore } from '../nouns/settings/lately.store';
import { Greeting, Room, RoomHelp, Try } from '../room';
import { Icons } from '../ui/icons';

/** So many things to try are offered. */
const OFFERED = 2;

const greetingOf = (help: RoomHelp, injector: Injector): Greeting | undefined =>
  help.greeting ? help.greeting(injector) : { says: help.is, tries: help.tries(injector).slice(0, OFFERED) };

/** What greets a first visit to a room: what it is for, and a first thing to try. Once used it is gone. */
@Component({
  selector: 'en-welcome',
  imports: [MatButton, MatIcon, MatIconButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (greeting(); as it) {
    <div class="sign offer">
      <p>{{ it.says }}</p>
      @for (each of it.tries; track each.label) {
        <button mat-stroked-button type="button" (click)="take(each)">{{ each.label }}</button>
      }
      <button
        mat-icon-button
        type="button"
        aria-label="Close the greeting"
        (click)="lately.greet(room().path)"
      >
        <mat-icon svgIcon="close" />
      </button>
    </div>
  }`,
  styleUrl: '../ui/sign.scss',
})
export class Welcome {
  private readonly injector = inject(Injector);
  protected readonly lately = inject(LatelyStore);

  readonly room = input.required<Room>();

  private readonly help = signal<{ readonly room: Room; readonly help: RoomHelp } | undefined>(undefined);
  private readonly isWanted = computed(
    () => this.lately.isRead() && !this.lately.isGreeted(this.room().path),
  );
  /** What the room has to say, as long as that is wanted; 'used' once all of it was done. */
  private readonly said = computed(() => {
    const loaded = this.help();
    if (!this.isWanted() || loaded?.room !== this.room()) return undefined;
    return greetingOf(loaded.help, this.injector) ?? 'used';
  });
  protected readonly greeting = computed(() => {
    const said = this.said();
    return said === 'used' ? undefined : said;
  });

  constructor() {
    inject(Icons);
    effect(() => {
      const room = this.room();
      // Where it does not come, nobody is greeted; the room is there all the same.
      if (this.isWanted())
        room
          .help()
          .then((help) => {
            // Another room may have been opened meanwhile.
            if (this.room() === room) this.help.set({ room, help });
          })
          .catch((error: unknown) => console.warn(error));
    });
    effect(() => {
      if (this.said() === 'used') untracked(() => this.lately.greet(this.room().path));
    });
  }

  protected take(each: Try): void {
    const { path } = this.room();
    void each.go(this.injector);
    // A greeting of its own says when it was used: it may go on.
    if (!this.help()?.help.greeting) this.lately.greet(path);
  }
}
