import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SampleRoom } from '../storage/sample-room';
import { once } from '../platform/once';
import { KeptRows } from '../nouns/weaves/kept.store';
import { WeaveLogStore } from '../nouns/weaves/weave-log.store';
import { SAMPLE_KINDS } from '../nouns/weaves/sample';

/** Says that kept rows and the log are a sample, where they are shown, and takes it away. */
@Component({
  selector: 'en-sample-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (hasSample()) {
    <p class="sample">
      Saved rows and the log of weaves hold a sample.
      <button type="button" (click)="takeAway()">Remove the sample</button>
    </p>
  }`,
  styleUrl: '../ui/sample-line.scss',
  styles: `
    .sample {
      padding-inline: 10px;
      border: 0;
      border-radius: 4px;
    }
  `,
})
export class SampleLine {
  private readonly sample = inject(SampleRoom);
  private readonly kept = inject(KeptRows);
  private readonly log = inject(WeaveLogStore);
  protected readonly hasSample = computed(() => this.kept.hasSample() || this.log.hasSample());
  protected readonly takeAway = once('take the sample away', () => this.sample.takeAway(SAMPLE_KINDS));
}
