import { ChangeDetectionStrategy, Component, computed, effect, inject, Injector, input } from '@angular/core';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { countOf } from '@enumeron/core/file/deck/countOf';
import type { StepOf } from '@enumeron/core/file/procedure/procedure';
import { instructionKey } from '@enumeron/core/file/record/instructions';
import { textsOf } from '@enumeron/core/file/rehearse/says';
import { refresh } from '../../nouns/performances/refresh-later';
import { ByRecord } from '../../nouns/procedures/by-record';
import { ROUTINES } from '../../nouns/sets/routines.kind';
import { Scripts } from '../../platform/scripts';
import { liveRows } from '../../storage/live-rows';
import { Desk } from '../desk/desk.store';

/** What a choice may be weighed by: an instruction as it is said. */
interface Offer {
  readonly key: string;
  readonly said: string;
  readonly label: string;
}

/** How long after a change of the choice its fit is worked out anew, in milliseconds. */
const PAUSE = 600;

/** A row beside what is stated of a choice: weigh it by the record, and set that back. The text stays as it is. */
@Component({
  selector: 'en-by-record-field',
  imports: [MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (by(); as by) {
      <span>by my record{{ count() }}</span>
      <button type="button" (click)="weigh(undefined)">Set it back</button>
    } @else if (offers().length === 1) {
      <button type="button" (click)="weigh(offers()[0])">Weigh it by my record</button>
    } @else if (offers().length > 1) {
      <button type="button" [matMenuTriggerFor]="menu">Weigh it by my record</button>
      <mat-menu #menu="matMenu">
        <ng-template matMenuContent>
          @for (each of offers(); track each.key) {
            <button mat-menu-item type="button" (click)="weigh(each)">{{ each.label }}</button>
          }
        </ng-template>
      </mat-menu>
    }`,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      gap: 0 8px;
      align-items: center;
      min-height: var(--target);
    }

    button {
      min-height: 34px;
      padding: 0 4px;
      border: 0;
      background: none;
      color: var(--petrol);
      font: inherit;
      cursor: pointer;
    }

    @media (max-width: 43.749em) {
      button {
        min-height: 44px;
      }
    }
  `,
})
export class ByRecordField {
  readonly step = input.required<StepOf<'choose' | 'choose one'>>();

  private readonly desk = inject(Desk);
  private readonly byRecord = inject(ByRecord);
  private readonly scripts = inject(Scripts);
  private readonly injector = inject(Injector);
  private readonly routines = liveRows(ROUTINES);

  protected readonly by = computed(() => this.byRecord.of(this.desk.id(), this.step().name));
  protected readonly count = computed(() => {
    const fit = this.byRecord.fitOf(this.desk.id(), this.step().name);
    if (!fit) return '';
    return fit.n === 0 ? ': nothing is noted yet' : `: ${countOf(fit.n, 'choice')}`;
  });
  /** The words in which it is said; where it is said in none, the routines that it stands in. */
  protected readonly offers = computed((): readonly Offer[] => {
    const { says, name, by } = this.step();
    if (name === '' || by === 'performer') return [];
    const texts = textsOf(says);
    if (texts.length > 0)
      return texts.map(({ text, audience }) => ({
        ...{ key: instructionKey({ said: text, name }, ''), said: text },
        label: audience === undefined ? text : `${audience}: ${text}`,
      }));
    const own = this.routines()?.filter(({ procedure }) => procedure === this.desk.id()) ?? [];
    return own.map(({ routine }) => ({
      ...{ key: instructionKey({ name }, routine.name), said: '', label: `as in ${routine.name}` },
    }));
  });

  constructor() {
    // What it may be, and how likely that is stated, are what the fit begins with.
    effect((onCleanup) => {
      const { by, step } = { by: this.by(), step: this.step() };
      if (!by || step.name === '') return;
      const timer = setTimeout(() => void this.refresh(), PAUSE);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected weigh(offer: Offer | undefined): void {
    const by = offer && { key: offer.key, said: offer.said };
    void this.byRecord.weigh(this.desk.id(), this.step().name, by).then(() => this.refresh());
  }

  private refresh(): Promise<void> {
    return refresh(this.injector, this.scripts);
  }
}
