import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { ActivatedRoute, Router } from '@angular/router';
import { sayProblem } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import type { CarriedSet } from '@enumeron/core/file/perform/setFile';
import { switchMap } from 'rxjs';
import { CarryIn } from '../../nouns/sets/carry-in';
import { once } from '../../platform/once';
import { unpackText } from '../../platform/packed-text';
import { readJson } from '../../platform/read-json';
import { Scripts } from '../../platform/scripts';
import { titled } from '../../ui/titled';

/** What an address brought: a set with all that it takes, or why it is none. */
type Brought = { readonly carried: CarriedSet } | { readonly problem: string };

const CUT_OFF = 'This address holds no set. It may have been cut off on its way: ask for it again.';

/** A set out of an address or a file: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-set',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<section aria-labelledby="shared-title">
    @if (carried(); as it) {
      <h2 id="shared-title">{{ it.set.name }}</h2>
      <p class="lead">This set was shared with you: {{ says() }}. It isn’t saved here until you say so.</p>
      <p class="ways">
        <button mat-flat-button type="button" (click)="keep()">Save it</button>
        <button mat-button type="button" (click)="leave()">Discard</button>
      </p>
      <ol aria-label="Routines in turn">
        @for (routine of routines(); track routine.id) {
          <li>
            <strong>{{ routine.name }}</strong> <span>{{ routine.minutes }} min</span>
          </li>
        }
      </ol>
    } @else if (problem(); as sentence) {
      <h2 id="shared-title">Shared set</h2>
      <p class="problem" role="alert">{{ sentence }}</p>
    } @else {
      <h2 id="shared-title">Shared set</h2>
      <p class="lead">Reading it …</p>
    }
  </section>`,
  styleUrl: '../../ui/page.scss',
  styles: `
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 14px 0;
    }
    li {
      padding: 7px 0;
      border-top: 1px solid var(--line-faint);
    }
    span {
      color: var(--muted);
    }
    .problem {
      color: var(--red);
    }
  `,
})
export class SharedSet {
  private readonly router = inject(Router);
  private readonly scripts = inject(Scripts);
  private readonly carrying = inject(CarryIn);
  private readonly brought = toSignal(
    inject(ActivatedRoute).fragment.pipe(switchMap((fragment) => this.bring(fragment))),
  );
  protected readonly carried = computed(() => {
    const brought = this.brought();
    return brought && 'carried' in brought ? brought.carried : undefined;
  });
  protected readonly problem = computed(() => {
    const brought = this.brought();
    return brought && 'problem' in brought ? brought.problem : undefined;
  });
  protected readonly routines = computed(() => {
    const carried = this.carried();
    return (carried?.set.order ?? []).flatMap((id) => {
      const found = carried?.routines.find((each) => each.id === id);
      return found ? [{ id, name: found.routine.name, minutes: found.routine.minutes }] : [];
    });
  });
  protected readonly says = computed(() => {
    const minutes = this.routines().reduce((sum, routine) => sum + routine.minutes, 0);
    return `${countOf(this.routines().length, 'routine')}, ${countOf(minutes, 'minute')}`;
  });

  constructor() {
    titled('Perform', () => this.carried()?.set.name ?? 'Shared set');
  }

  /** Reads it as a file is read. */
  private async bring(fragment: string | null): Promise<Brought> {
    const text = fragment === null ? undefined : await unpackText(fragment);
    if (text === undefined) return { problem: CUT_OFF };
    const json = await readJson(text, 'Ask for it again.');
    if (!json.ok) return { problem: sayProblem(json.problems[0]) };
    const { readSetFile } = await this.scripts.load(() => import('@enumeron/core/file/perform/setFile'));
    const outcome = readSetFile(json.value);
    return outcome.ok ? { carried: outcome.carried } : { problem: sayProblem(outcome.problems[0]) };
  }

  protected readonly keep = once('keep a shared set', async () => {
    const carried = this.carried();
    if (!carried) return;
    await this.router.navigate(['/perform', await this.carrying.keep(carried)], { replaceUrl: true });
  });

  protected leave(): void {
    void this.router.navigate(['/perform'], { replaceUrl: true });
  }
}
