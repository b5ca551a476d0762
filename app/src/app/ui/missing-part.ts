import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Scripts } from '../platform/scripts';

/** Stands where a deferred part could not be loaded. The frame says what can be done about it. */
@Component({
  selector: 'en-missing-part',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span class="spoken">Part of Enumeron didn’t load. Reload the page.</span>`,
})
export class MissingPart {
  constructor() {
    inject(Scripts).tell(new Error('a deferred part could not be loaded'));
  }
}
