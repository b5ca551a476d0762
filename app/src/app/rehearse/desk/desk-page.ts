import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, inject, input, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import { MissingPart } from '../../ui/missing-part';
import { Viewport } from '../../platform/viewport';
import { ActPanel } from '../act/act-panel';
import { Acting } from '../act/acting.store';
import { ProofPanel } from '../prove/proof-panel';
import { Proving } from '../prove/proving.store';
import { ProcedureHead } from '../write/procedure-head';
import { StepLines } from '../write/step-lines';
import { StepList } from '../write/step-list';
import { Desk } from './desk.store';
import { titled } from '../../ui/titled';

/** One procedure: its steps, what proving it finds, and the table on which it is acted out. */
@Component({
  selector: 'en-desk-page',
  imports: [
    ActPanel,
    MissingPart,
    NgTemplateOutlet,
    ProcedureHead,
    ProofPanel,
    RouterLink,
    StepLines,
    StepList,
  ],
  providers: [Acting, Desk, Proving],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './desk-page.html',
  styleUrls: ['../../ui/page.scss', './desk-page.scss'],
})
export class DeskPage {
  protected readonly desk = inject(Desk);
  private readonly acting = inject(Acting);
  protected readonly phone = inject(Viewport).phone;
  protected readonly say = sayProblem;

  readonly id = input.required<string>();

  constructor() {
    titled('Rehearse', () => this.desk.procedure()?.name);
    effect(() => {
      const id = this.id();
      untracked(() => {
        this.desk.open(id);
        this.acting.open();
      });
    });
  }
}
