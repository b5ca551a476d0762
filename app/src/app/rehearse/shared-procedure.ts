import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router } from '@angular/router';
import { meant } from '@enumeron/core/file/procedure/meant';
import { linesOf } from '@enumeron/core/file/rehearse/editSteps';
import { readProcedure } from '@enumeron/core/file/rehearse/readProcedure';
import { sayStep } from '@enumeron/core/file/rehearse/sentence';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { once } from '../platform/once';
import { readJson } from '../platform/read-json';
import { brought } from '../ui/brought';
import { CardText } from '../ui/card-text';
import { SharedPage } from '../ui/shared-page';
import { titled } from '../ui/titled';

/** A procedure out of an address: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-procedure',
  imports: [CardText, SharedPage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-shared-page
    what="procedure"
    [name]="name()"
    [problem]="brought.problem()"
    (kept)="keep()"
    (left)="leave()"
  >
    @if (procedure()?.needs; as needs) {
      <p about><strong>Needs</strong> {{ needs }}</p>
    }
    <ol aria-label="Steps">
      @for (line of lines(); track line.path) {
        <li [style.margin-left.rem]="line.depth * 1.4">
          <span class="number">{{ line.path }}</span> <en-card-text [text]="line.words" />
        </li>
      }
    </ol>
  </en-shared-page>`,
  styles: `
    ol {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 3.4rem minmax(0, 1fr);
      padding: 7px 0;
      border-top: 1px solid var(--line-faint);
    }
    .number {
      color: var(--muted);
      font: 0.9rem var(--mono);
    }
  `,
})
export class SharedProcedure {
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);
  protected readonly brought = brought('procedure', async (text) => {
    const json = await readJson(text, 'Ask for it again.');
    if (!json.ok) return json;
    const outcome = readProcedure(json.value);
    return outcome.ok ? { ok: true, value: outcome.procedure } : outcome;
  });
  protected readonly procedure = this.brought.value;
  protected readonly name = computed(() => {
    const procedure = this.procedure();
    return procedure && (procedure.name || 'A procedure without a name');
  });
  protected readonly lines = computed(() => {
    const procedure = this.procedure();
    return procedure
      ? linesOf(meant(procedure).steps).map((line) => ({
          ...{ path: line.path, depth: line.depth },
          words: line.kind === 'step' ? sayStep(line.step) : line.words,
        }))
      : [];
  });

  constructor() {
    titled('Rehearse', () => this.procedure()?.name ?? 'Shared procedure');
  }

  protected readonly keep = once('keep a shared procedure', async () => {
    const procedure = this.procedure();
    if (!procedure) return;
    const id = this.procedures.add(meant(procedure), 'keep a shared procedure');
    await this.router.navigate(['/rehearse', id], { replaceUrl: true });
  });

  protected leave(): void {
    void this.router.navigate(['/rehearse'], { replaceUrl: true });
  }
}
