import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { weave, WeaveKind } from '@enumeron/core/moves';
import { mirroredMates, weaveCycles } from '@enumeron/core/weave';
import { PackStore } from '../../nouns/pack/pack.store';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader } from '../../ui/form/reading';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { CycleRing } from './cycle-ring';
import { Choice } from '../../ui/choice';

/** The largest pack that is looked at. */
const LARGEST = 64;

/** How many weaves bring a pack back, the ways round, and which properties of the order live through a weave. */
@Component({
  selector: 'en-cycles-page',
  imports: [Choice, CycleRing, EntryField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cycles-page.html',
  styleUrls: ['../../ui/page.scss', '../plan/plan.scss', '../orders/orders-page.scss', './cycles-page.scss'],
})
export class CyclesPage {
  protected readonly pack = inject(PackStore);

  protected readonly kinds: readonly WeaveKind[] = ['out', 'in'];
  protected readonly kind = signal<WeaveKind>('out');
  private readonly typed = signal<number | undefined>(undefined);
  protected readonly size = computed(() => this.typed() ?? this.pack.size());
  protected readonly showNumber = (size: number): string => size.toString();
  protected readonly read = numberReader(LARGEST, 2);

  protected readonly found = computed(() => weaveCycles(this.size(), this.kind()));
  protected readonly other = computed(() => weaveCycles(this.size(), this.kind() === 'in' ? 'out' : 'in'));
  protected readonly rings = computed(() => this.found().cycles.filter(({ length }) => length > 1));
  protected readonly fixed = computed(() => this.found().fixed.join(', '));

  /** How many pairs of mates lie as far from the top as from the face, now and after one weave. */
  protected readonly mirrored = computed(() => ({
    now: mirroredMates(this.pack.now()),
    after: mirroredMates(weave(this.pack.now(), this.kind())),
  }));

  private readonly job = jobView('invariants', () => ({ order: this.pack.home() }));
  protected readonly living = computed(() => answerOf(this.job()));

  protected setSize(size: number | undefined): void {
    this.typed.set(size);
  }
}
