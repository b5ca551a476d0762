import { Pipe, PipeTransform } from '@angular/core';

/** A page's first sentence; where it speaks of them it says who they are. */
@Pipe({ name: 'enThey' })
export class TheyPipe implements PipeTransform {
  transform(lead: string): string {
    return /\b(?:they|them|theirs?)\b/i.test(lead) ? `${lead} (They: your helper.)` : lead;
  }
}
