import { Pipe, PipeTransform } from '@angular/core';
import { countOf } from '@enumeron/core/file/deck/countOf';

/** So many of a thing: `{{ 1 | enCount: 'card' }}` is 1 card. */
@Pipe({ name: 'enCount' })
export class CountPipe implements PipeTransform {
  readonly transform = countOf;
}
