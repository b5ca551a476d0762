import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Router } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { readSetFile } from '@enumeron/core/file/perform/setFile';
import { CarryIn } from '../../nouns/sets/carry-in';
import { once } from '../../platform/once';
import { readJson } from '../../platform/read-json';
import { brought } from '../../ui/brought';
import { SharedPage } from '../../ui/shared-page';
import { titled } from '../../ui/titled';

/** A set out of an address or a file: looked at, and kept by a press. */
@Component({
  selector: 'en-shared-set',
  imports: [SharedPage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-shared-page
    what="set"
    [name]="carried()?.set?.name"
    [problem]="brought.problem()"
    (kept)="keep()"
    (left)="leave()"
  >
    <p about>{{ says() }}</p>
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

  constructor() {
    titled('Perform', () => this.carried()?.set.name ?? 'Shared set');
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
