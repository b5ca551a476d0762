import { CountPipe } from '../../ui/count-pipe';
import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { StageVerdict, stageVerdict } from '@enumeron/core/learn';
import { CardText } from '../../ui/card-text';
import { History } from '../../nouns/learning/history';
import { LearnStore } from '../../nouns/learning/learn.store';
import { CalibrationChart } from './calibration-chart';
import { HeatSheet } from './heat-sheet';
import { SpeedChart } from './speed-chart';
import { SHOWN, StandingStore } from './standing.store';
import { SumTimes } from './sum-times';
import { WeakSpots } from './weak-spots';

const VERDICTS: Readonly<Record<StageVerdict['verdict'], string>> = {
  ready: 'Ready for the stage',
  nearly: 'Nearly ready for the stage',
  'not yet': 'Not ready for the stage yet',
};

/** How the order in hand stands: one verdict, and what it rests on. */
@Component({
  selector: 'en-standing',
  imports: [CountPipe, CalibrationChart, CardText, HeatSheet, SpeedChart, SumTimes, WeakSpots],
  providers: [History, StandingStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './standing.html',
  styleUrls: ['../../ui/page.scss', './standing.scss'],
})
export class Standing {
  protected readonly store = inject(LearnStore);
  protected readonly standing = inject(StandingStore);
  protected readonly shown = SHOWN;

  protected readonly answers = computed(() => this.standing.answers() ?? []);
  protected readonly isRead = computed(() => this.standing.answers() !== undefined && this.store.isRead());
  protected readonly verdict = computed(() => {
    const { directions } = this.store.settings();
    const found = stageVerdict(this.store.order(), directions, this.standing.paces(), this.store.pace());
    return found && { ...found, says: VERDICTS[found.verdict] };
  });

  constructor() {
    effect(() => {
      // The sample may come, or go, while this is open.
      this.store.hasSample();
      void this.standing.load(this.store.orderId());
    });
  }
}
