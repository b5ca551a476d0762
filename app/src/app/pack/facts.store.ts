import { computed, inject, Injectable } from '@angular/core';
import { sameOrder } from '@enumeron/core/deck';
import { describeFact, Fact } from '@enumeron/core/reckon/facts';
import { Journal } from '../data/journal';
import { FactsRow } from '../data/rows';
import { StateRows } from '../data/state-row';
import { PackStore } from './pack.store';

/** The most facts that are told of one pack. */
export const MOST_FACTS = 12;

/** What was told of the pack as it lies; once the pack is moved on the screen, it is void. */
@Injectable({ providedIn: 'root' })
export class FactsStore {
  private readonly journal = inject(Journal);
  private readonly pack = inject(PackStore);
  private readonly row = inject(StateRows).live<FactsRow>({ id: 'facts', pack: [], facts: [] });

  readonly facts = computed<readonly Fact[]>(() =>
    sameOrder(this.row.value().pack, this.pack.now()) ? this.row.value().facts : [],
  );

  /** Adds a fact behind those that were told before. Gives false when there are too many. */
  add(fact: Fact): Promise<boolean> {
    return this.tell(describeFact(fact).toLowerCase(), [...this.facts(), fact]);
  }

  /** Tells of a cut before all that was told. Gives false when there are too many. */
  cutFirst(): Promise<boolean> {
    return this.tell('tell that the pack was cut first', [{ kind: 'cut' }, ...this.facts()]);
  }

  /** @param index from 0. */
  remove(index: number): Promise<void> {
    const fact = this.facts()[index];
    return this.put(
      `take back: ${describeFact(fact).toLowerCase()}`,
      this.facts().filter((_, at) => at !== index),
    );
  }

  clear(): Promise<void> {
    return this.put('take back all that was told', []);
  }

  private async tell(label: string, facts: readonly Fact[]): Promise<boolean> {
    if (facts.length > MOST_FACTS) return false;
    await this.put(label, facts);
    return true;
  }

  private put(label: string, facts: readonly Fact[]): Promise<void> {
    const row: FactsRow = { id: 'facts', pack: this.pack.now(), facts };
    return this.row.set(row, () =>
      this.journal.commit(label, [{ table: 'state', key: 'facts', after: row }]),
    );
  }
}
