import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import type { Procedure } from '@enumeron/core/file/procedure/procedure';
import { meant } from '@enumeron/core/file/procedure/meant';
import { linesOf } from '@enumeron/core/file/rehearse/editSteps';
import { readProcedure } from '@enumeron/core/file/rehearse/readProcedure';
import { sayStep } from '@enumeron/core/file/rehearse/sentence';
import { switchMap } from 'rxjs';
import { ProceduresStore } from '../nouns/procedures/procedures.store';
import { once } from '../platform/once';
import { unpackText } from '../platform/packed-text';
import { readJson } from '../platform/read-json';
import { CardText } from '../ui/card-text';
import { titled } from '../ui/titled';

/** What an address brought: a procedure, or why it is none. */
type Brought = { readonly procedure: Procedure } | { readonly problem: string };

const CUT_OFF = 'This address holds no procedure. It may have been cut off on its way: ask for it again.';

/** Reads it as a file is read. */
const bring = async (fragment: string | null): Promise<Brought> => {
  const text = fragment === null ? undefined : await unpackText(fragment);
  if (text === undefined) return { problem: CUT_OFF };
  const json = await readJson(text, 'Ask for it again.');
  if (!json.ok) return { problem: sayProblem(json.problems[0]) };
  const outcome = readProcedure(json.value);
  return outcome.ok ? { procedure: outcome.procedure } : { problem: sayProblem(outcome.problems[0]) };
};

/** A procedure out of an address: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-procedure',
  imports: [CardText, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="shared-title">
    @if (procedure(); as it) {
      <h2 id="shared-title">{{ it.name || 'A procedure without a name' }}</h2>
      <p class="lead">This procedure was shared with you. It isn’t saved here until you say so.</p>
      @if (it.needs) {
        <p><strong>Needs</strong> {{ it.needs }}</p>
      }
      <p class="ways">
        <button mat-flat-button type="button" (click)="keep()">Save it</button>
        <button mat-button type="button" (click)="leave()">Discard</button>
      </p>
      <ol aria-label="Steps">
        @for (line of lines(); track line.path) {
          <li [style.margin-left.rem]="line.depth * 1.4">
            <span class="number">{{ line.path }}</span> <en-card-text [text]="line.words" />
          </li>
        }
      </ol>
    } @else if (problem(); as sentence) {
      <h2 id="shared-title">Shared procedure</h2>
      <p class="problem" role="alert">{{ sentence }}</p>
    } @else {
      <h2 id="shared-title">Shared procedure</h2>
      <p class="lead">Reading it …</p>
    }
  </section>`,
  styleUrl: '../ui/page.scss',
  styles: `
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 14px 0;
    }
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
    .problem {
      color: var(--red);
    }
  `,
})
export class SharedProcedure {
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);
  private readonly brought = toSignal(inject(ActivatedRoute).fragment.pipe(switchMap(bring)));
  protected readonly procedure = computed(() => {
    const brought = this.brought();
    return brought && 'procedure' in brought ? brought.procedure : undefined;
  });
  protected readonly problem = computed(() => {
    const brought = this.brought();
    return brought && 'problem' in brought ? brought.problem : undefined;
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
