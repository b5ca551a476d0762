import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { makeName, nameProblem } from '@enumeron/core/file/formats/name';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { pictureOfState } from '@enumeron/core/file/perform/picture';
import { newRoutine } from '@enumeron/core/file/perform/routine';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { once } from '../../platform/once';
import { Viewport } from '../../platform/viewport';
import { titled } from '../../ui/titled';
import { Facts } from '../facts';
import { BestOrder } from './best-order';
import { SetAnswer } from './set-answer';
import { SetAside } from './set-aside';
import { SetChosen } from './set-chosen';
import { SetDesk } from './set-desk';
import { SetList } from './set-list';

/** One set: its routines in turn, what each junction costs, and what is fixed. */
@Component({
  selector: 'en-set-page',
  imports: [
    BestOrder,
    MatButton,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    MatMenuTrigger,
    RouterLink,
    SetAnswer,
    SetAside,
    SetChosen,
    SetList,
  ],
  providers: [SetDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-page.html',
  styleUrls: ['../../ui/page.scss', './set-page.scss'],
})
export class SetPage {
  protected readonly desk = inject(SetDesk);
  protected readonly facts = inject(Facts);
  protected readonly phone = inject(Viewport).phone;
  private readonly routines = inject(RoutinesStore);
  private readonly router = inject(Router);

  readonly id = input.required<string>();
  /** What is wrong with the name that was typed last; empty where nothing is. */
  protected readonly wrongName = signal('');
  protected readonly says = computed(() => {
    const packs = this.desk.packs().length;
    return [
      countOf(this.desk.minutes(), 'minute'),
      countOf(this.desk.lines().length, 'routine'),
      ...(packs > 0 ? [countOf(packs, 'pack')] : []),
    ].join(', ');
  });

  constructor() {
    titled('Perform', () => this.desk.set()?.name);
    effect(() => {
      const id = this.id();
      untracked(() => this.desk.id.set(id));
    });
    previewOnRail(() => {
      const chosen = this.desk.chosen();
      const junction = this.desk.junctions().find(({ before }) => before === chosen);
      const pack = junction?.packs.at(0);
      const home = pack && this.desk.homeOf(pack.pack);
      if (!pack || !home) return undefined;
      const { cards, strayed, seam } = pictureOfState(pack.ready[0], home.cards);
      const now = cards.flatMap((card) => card ?? []);
      // Where it is not known where each card lies there is nothing to show.
      if (seam === undefined || !this.desk.isKnown(pack.pack)) return undefined;
      return {
        ...{ home: home.cards, now, label: `${pack.pack}, before ${this.desk.nameOf(chosen)}` },
        marks: new Map(strayed.map((index) => [index + 1, ['face up']] as const)),
      };
    });
  }

  protected rename(text: string): void {
    this.wrongName.set(nameProblem(text) ?? '');
    if (this.wrongName() !== '') return;
    const name = makeName(text);
    this.desk.change('rename a set', (set) => ({ ...set, name }));
  }

  protected readonly write = once('write a routine', async () => {
    const id = this.routines.add(newRoutine('New routine'));
    this.desk.add(id);
    await this.router.navigate(['/perform/routines', id]);
  });
}
