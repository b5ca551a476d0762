import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { whoOf } from '@enumeron/core/file/rehearse/sentence';
import { Desk } from '../desk/desk.store';
import { linesInTurn } from './lines-in-turn';
import { StepSentence } from './step-sentence';

/** The steps to be read, until what writes them has come. */
@Component({
  selector: 'en-step-lines',
  imports: [StepSentence],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div role="list" aria-label="Steps">
    @for (line of lines(); track line.key) {
      <div role="listitem" class="line {{ line.kind }}" [style.--depth]="line.depth">
        @if (line.kind === 'step') {
          <span class="number">{{ line.path }}</span>
          <span class="who">{{ who(line.step) }}</span>
          <en-step-sentence [step]="line.step" />
        } @else {
          <span>{{ line.words }}</span>
        }
      </div>
    }
  </div>`,
  styleUrl: './step-list.scss',
})
export class StepLines {
  private readonly desk = inject(Desk);
  protected readonly lines = linesInTurn(this.desk.lines);
  protected readonly who = whoOf;
}
