import { computed, inject, Injectable } from '@angular/core';
import { Card, sameOrder } from '@enumeron/core/deck';
import { describeFact, Fact } from '@enumeron/core/file/reckon/facts/fact';
import { dequal } from 'dequal/lite';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { FACTS, FactsRow, MOST_FACTS } from './facts.kind';
import { PACK } from './pack.kind';
import { Rows } from '../../storage/rows';
import { PackStore } from './pack.store';

const [PLACE, PACK_PLACE] = [onlyPlace(FACTS), onlyPlace(PACK)];

/** What was told of a pack; of another one it is void. */
const toldOf = (row: FactsRow, now: readonly Card[]): readonly Fact[] =>
  sameOrder(row.pack, now) ? row.facts : [];

/** A fact's sentence inside another one: cards keep their capitals. */
const inside = (fact: Fact): string =>
  describeFact(fact).replace(/^[A-Z](?=[a-z ])/, (letter) => letter.toLowerCase());

/** What was told of the pack as it lies; once the pack is moved on the screen, it is void. */
@Injectable({ providedIn: 'root' })
export class FactsStore {
  private readonly journal = inject(Journal);
  private readonly pack = inject(PackStore);
  private readonly row = inject(Rows).only(PLACE);

  readonly facts = computed<readonly Fact[]>(() => toldOf(this.row(), this.pack.now()));

  /** Whether no more can be told of this pack. */
  readonly isFull = computed(() => this.facts().length >= MOST_FACTS);

  /** Adds a fact behind those that were told before. Gives false when there are too many. */
  add(fact: Fact): Promise<boolean> {
    return this.tell(inside(fact), (facts) => [...facts, fact]);
  }

  /** Tells of a cut before all that was told. Gives false when there are too many. */
  cutFirst(): Promise<boolean> {
    return this.tell('tell that the pack was cut first', (facts) => [{ kind: 'cut' }, ...facts]);
  }

  /** @param index from 0. */
  async remove(index: number): Promise<void> {
    const fact = this.facts()[index];
    await this.tell(`take back: ${inside(fact)}`, (facts) => {
      const at = dequal(facts[index], fact) ? index : facts.findIndex((each) => dequal(each, fact));
      return facts.filter((_, each) => each !== at);
    });
  }

  async clear(): Promise<void> {
    await this.tell('take back all that was told', () => []);
  }

  private async tell(label: string, change: (facts: readonly Fact[]) => readonly Fact[]): Promise<boolean> {
    if (change(this.facts()).length > MOST_FACTS) return false;
    await this.journal.commit(label, [PLACE, PACK_PLACE], ([row, pack]) => {
      const facts = change(toldOf(row, pack.now));
      return facts.length > MOST_FACTS ? undefined : [{ id: 'facts', pack: pack.now, facts }, pack];
    });
    return true;
  }
}
