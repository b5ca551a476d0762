import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Scripts } from '../platform/scripts';

/** What stands in every room while a script is lacking. It comes with the frame, as it is wanted when nothing else came. */
@Component({
  selector: 'en-lacking-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (scripts.lacks()) {
    <div class="sign" role="alert">
      <p>Part of Enumeron didn’t load. What you did is kept. Check the connection, then try again.</p>
      <button class="press" type="button" (click)="scripts.reload()">Try again</button>
    </div>
  }`,
  styleUrl: '../ui/sign.scss',
})
export class LackingSign {
  protected readonly scripts = inject(Scripts);
}
