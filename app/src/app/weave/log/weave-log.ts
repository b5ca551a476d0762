import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { WeaveKind } from '@enumeron/core/moves';
import { packetsOf, weaveRecord } from '@enumeron/core/weave';
import { scaleBand, scaleLinear } from 'd3-scale';
import { WeaveDoneRow } from '../../nouns/weaves/weaves.kind';
import { PackStore } from '../../nouns/pack/pack.store';
import { AsTable, TableRow } from '../../ui/charts/as-table';
import { once } from '../../platform/once';
import { SampleLine } from '../sample-line';
import { WeaveLogStore } from '../../nouns/weaves/weave-log.store';

const [WIDTH, HEIGHT, BELOW] = [420, 90, 18];

/** So many of the latest weaves are listed. */
const LISTED = 8;

/** The practice of weaves: clean or not, and a small picture of where one slips. */
@Component({
  selector: 'en-weave-log',
  imports: [AsTable, DatePipe, MatButton, SampleLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './weave-log.html',
  styleUrls: ['../../ui/page.scss', '../../ui/charts/chart.scss', './weave-log.scss'],
})
export class WeaveLog {
  private readonly log = inject(WeaveLogStore);
  private readonly pack = inject(PackStore);

  protected readonly kinds: readonly WeaveKind[] = ['in', 'out'];
  protected readonly record = computed(() => weaveRecord(this.log.all()));
  protected readonly latest = computed(() => this.log.all().slice(0, LISTED));
  protected readonly box = `0 0 ${WIDTH.toString()} ${(HEIGHT + BELOW).toString()}`;
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly rows = (): readonly TableRow[] =>
    this.bars().map(({ label, bin }) => ({ head: label, cells: [bin.slips] }));
  protected readonly bars = computed(() => {
    const { bins } = this.record();
    const x = scaleBand<number>()
      .domain(bins.map(({ from }) => from))
      .range([0, WIDTH])
      .padding(0.15);
    const y = scaleLinear()
      .domain([0, Math.max(1, ...bins.map(({ slips }) => slips))])
      .range([0, HEIGHT - 14]);
    return bins.map((bin) => ({
      ...{ bin, x: x(bin.from) ?? 0, width: x.bandwidth(), height: bin.slips === 0 ? 0 : y(bin.slips) },
      label: `${bin.from.toString()}–${bin.to.toString()}`,
    }));
  });
  protected readonly slips = computed(() => this.record().bins.reduce((sum, { slips }) => sum + slips, 0));

  protected readonly clean = once('note a clean weave', (weave: WeaveKind) => {
    const size = this.pack.size();
    const cut = packetsOf({ kind: 'weave', weave }, size)?.upper ?? 0;
    return this.log.add({ weave, size, cut, faults: 0, slips: [] });
  });

  protected readonly remove = once('remove a weave', (row: WeaveDoneRow) => this.log.remove(row));

  protected says({ faults, cut, slips }: WeaveDoneRow): string {
    if (faults === 0) return 'clean';
    const where = slips.length > 0 ? `, slipped at ${slips.join(', ')}` : '';
    return `${faults.toString()} ${faults === 1 ? 'fault' : 'faults'}, cut at ${cut.toString()}${where}`;
  }
}
