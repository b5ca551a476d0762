import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { readSetFile } from '@enumeron/core/file/perform/setFile';
import { switchMap } from 'rxjs';
import { CarryIn } from '../../nouns/sets/carry-in';
import { once } from '../../platform/once';
import { readJson } from '../../platform/read-json';
import { brought } from '../../ui/brought';
import { SharedPage } from '../../ui/shared-page';
import { titled } from '../../ui/titled';

/** A set out of an address or a file: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-set',
  imports: [MatButton, SharedPage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-shared-page
    what="set"
    [name]="carried()?.set?.name"
    [problem]="brought.problem()"
    (kept)="keep()"
    (left)="leave()"
  >
    <p about>{{ says() }}</p>
    @if (bringing(); as found) {
      <p about class="here">
        You have it already. {{ found }}
        <button mat-stroked-button type="button" (click)="merge()">Merge it into mine</button>
      </p>
    }
    <ol aria-label="Routines in turn">
      @for (routine of routines(); track routine.id) {
        <li>
          <strong>{{ routine.name }}</strong> <span>{{ routine.minutes }} min</span>
        </li>
      }
    </ol>
  </en-shared-page>`,
  styles: `
    li {
      padding: 7px 0;
      border-top: 1px solid var(--line-faint);
    }
    span {
      color: var(--muted);
    }
    .here {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 12px;
      align-items: center;
    }
  `,
})
export class SharedSet {
  private readonly router = inject(Router);
  private readonly carrying = inject(CarryIn);
  protected readonly brought = brought('set', async (text) => {
    const json = await readJson(text, 'Ask for it again.');
    if (!json.ok) return json;
    const outcome = readSetFile(json.value);
    return outcome.ok ? { ok: true, value: outcome.carried } : outcome;
  });
  protected readonly carried = this.brought.value;
  protected readonly routines = computed(() => {
    const carried = this.carried();
    return (carried?.set.order ?? []).flatMap((id) => {
      const found = carried?.routines.find((each) => each.id === id);
      return found ? [{ id, name: found.routine.name, minutes: found.routine.minutes }] : [];
    });
  });
  protected readonly says = computed(() => {
    const minutes = this.routines().reduce((sum, routine) => sum + routine.minutes, 0);
    return `${countOf(this.routines().length, 'routine')}, ${countOf(minutes, 'minute')}.`;
  });

  /** What merging it brings, where a set of its id is here. */
  protected readonly bringing = toSignal(
    toObservable(this.carried).pipe(
      switchMap(async (carried) => {
        const found = carried && (await this.carrying.bringing(carried));
        if (!found) return undefined;
        const { set, routines } = found;
        if (!set && routines === 0) return 'Nothing in it is newer.';
        const parts = [...(set ? ['the set'] : []), ...(routines > 0 ? [countOf(routines, 'routine')] : [])];
        return `What is newer in it: ${parts.join(' and ')}.`;
      }),
    ),
  );

  constructor() {
    titled('Perform', () => this.carried()?.set.name ?? 'Shared set');
  }

  protected readonly keep = once('keep a shared set', async () => {
    const carried = this.carried();
    if (!carried) return;
    await this.router.navigate(['/perform', await this.carrying.keep(carried)], { replaceUrl: true });
  });

  protected readonly merge = once('merge a set', async () => {
    const carried = this.carried();
    if (!carried) return;
    await this.router.navigate(['/perform', await this.carrying.merge(carried)], { replaceUrl: true });
  });

  protected leave(): void {
    void this.router.navigate(['/perform'], { replaceUrl: true });
  }
}
