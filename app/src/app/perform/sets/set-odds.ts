import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { sayTimesIn100 } from '@enumeron/core/file/odds/sayShare';
import { VerdictsStore, keptOf, stampOf } from '../../nouns/procedures/verdicts.store';
import { ByRecord } from '../../nouns/procedures/by-record';
import { jobView } from '../../platform/workers/job-view';
import { Facts } from '../facts';
import { SetDesk } from './set-desk';

/** How often all of a set hits, by what its procedures state and the record says. */
@Component({
  selector: 'en-set-odds',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (answer(); as found) {
    <p>
      {{ found.says }}
      @if (found.least; as least) {
        Least often <a [routerLink]="['/rehearse', least.id]">{{ least.name }}</a>: {{ least.share }}.
      }
    </p>
  }`,
  styles: `
    p {
      margin: 0 0 12px;
      color: var(--muted);
    }
    a {
      color: var(--petrol);
    }
  `,
})
export class SetOdds {
  private readonly desk = inject(SetDesk);
  private readonly facts = inject(Facts);
  private readonly verdicts = inject(VerdictsStore);
  private readonly byRecord = inject(ByRecord);

  /** The procedures of the set, as their choices are weighed, with what is known of them. */
  private readonly parts = computed(() =>
    this.desk.lines().flatMap(({ name, row }) => {
      const id = row?.procedure;
      const procedure = this.facts.procedure(id);
      if (id === undefined || !procedure) return [];
      return [{ id, name, procedure, found: this.verdicts.of(id, stampOf(procedure)) }];
    }),
  );
  /** The next of which nothing is known: one after the other, behind what the junctions need. */
  private readonly next = computed(() =>
    this.verdicts.isRead() && !this.desk.isWaiting() ? this.parts().find(({ found }) => !found) : undefined,
  );
  private readonly finding = jobView('verdict', () => {
    const next = this.next();
    return next && { procedure: next.procedure };
  });

  protected readonly answer = computed(() => {
    const parts = this.parts();
    const known = parts.flatMap(({ id, name, found }) =>
      found?.chance === undefined ? [] : [{ id, name, chance: found.chance }],
    );
    // With one missing nothing is said of all.
    if (known.length === 0 || parts.some(({ found }) => !found)) return undefined;
    const all = known.reduce((chance, each) => chance * each.chance, 1);
    const least = known.reduce((worst, each) => (each.chance < worst.chance ? each : worst));
    const others = this.desk.lines().length - known.length;
    const isByRecord = known.some(({ id }) =>
      this.byRecord.choicesOf(id).some(({ fit }) => (fit?.n ?? 0) > 0),
    );
    const by = isByRecord ? 'by your record and what is stated' : 'by what is stated';
    const which =
      others === 0 ? 'All of it hits' : `${countOf(known.length, 'routine')} with a proof all hit`;
    return {
      says: `${which} ${sayTimesIn100(all, 0)}, ${by}.`,
      least: least.chance < 1 ? { ...least, share: sayTimesIn100(least.chance, 0) } : undefined,
    };
  });

  constructor() {
    effect(() => {
      const [view, next] = [this.finding(), this.next()];
      if (next && view?.kind === 'ended')
        this.verdicts.keep(next.id, keptOf(view.result, stampOf(next.procedure)));
    });
  }
}
