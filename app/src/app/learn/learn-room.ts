import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterOutlet } from '@angular/router';

/** Do I know it cold? What is due today, and the practice. */
@Component({
  selector: 'en-learn-room',
  imports: [RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h1 class="spoken">Learn</h1>
    <div class="sheet"><router-outlet /></div>`,
})
export class LearnRoom {}
