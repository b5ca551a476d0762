import {
  afterNextRender,
  ChangeDetectionStrategy,
  ChangeDetectorRef,
  Component,
  computed,
  ElementRef,
  inject,
  Renderer2,
  signal,
  viewChild,
} from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger, MatOption } from '@angular/material/autocomplete';
import { sayPath } from '@enumeron/core/file/rehearse/editSteps';
import {
  Group,
  GROUPS,
  Offered,
  offersFor,
  PALETTE,
  surroundings,
} from '@enumeron/core/file/rehearse/palette';
import { Notices } from '../../platform/notices';
import { keepShut, openNow } from './keep-shut';
import { Desk } from '../desk/desk.store';

/** Where a step is added: its sentence's beginning is typed, or taken from the palette. */
@Component({
  selector: 'en-add-step',
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './add-step.html',
  styleUrls: ['../../ui/palette.scss', './add-step.scss'],
})
export class AddStep {
  protected readonly desk = inject(Desk);
  private readonly changes = inject(ChangeDetectorRef);
  private readonly notices = inject(Notices);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  private readonly trigger = viewChild.required(MatAutocompleteTrigger);

  /** Whether the arrow keys have been used since something was typed. */
  private byArrow = false;

  protected readonly groups = GROUPS;
  protected readonly text = this.desk.begun;
  /** The group of the palette that is open. */
  protected readonly group = signal<Group | undefined>(undefined);
  protected readonly offers = computed(() => (this.text().trim() === '' ? [] : offersFor(this.text())));
  protected readonly inGroup = computed(() => PALETTE.filter(({ group }) => group === this.group()));
  protected readonly path = computed(() => sayPath(this.desk.adding()));
  protected readonly depth = computed(() => (this.desk.adding().length - 1) / 2);
  protected readonly nothing = computed(() => this.text().trim() !== '' && this.offers().length === 0);
  protected readonly shown = (offered: Offered | string | null): string =>
    typeof offered === 'string' ? offered : (offered?.words ?? '');

  constructor() {
    const renderer = inject(Renderer2);
    afterNextRender(() => {
      renderer.listen(this.box().nativeElement, 'keydown', (event: KeyboardEvent) => this.key(event), {
        capture: true,
      });
    });
  }

  protected enter(): void {
    if (this.text() === '') keepShut(this.trigger(), this.changes);
    else openNow(this.trigger());
  }

  protected add(offered: Offered): void {
    const procedure = this.desk.procedure();
    this.text.set('');
    this.box().nativeElement.value = '';
    this.group.set(undefined);
    this.trigger().closePanel();
    const problem = procedure && this.desk.add(offered.make(surroundings(procedure, this.desk.adding())));
    if (problem) void this.notices.show(problem);
  }

  protected type(text: string): void {
    this.byArrow = false;
    this.text.set(text);
    openNow(this.trigger());
  }

  /**
   * Enter adds what the text says at this moment, unless an option was chosen by arrow: the list may not be ready yet,
   * or show what it said a key ago. Runs before the list sees the key.
   */
  private key(event: KeyboardEvent): void {
    const { key } = event;
    const empty = this.box().nativeElement.value === '';
    if (key === 'ArrowDown' || key === 'ArrowUp') this.byArrow = true;
    if (key === 'ArrowLeft' && empty && this.desk.placeOutside()) event.preventDefault();
    if (key === 'Enter' && !this.byArrow && !event.isComposing) {
      event.preventDefault();
      event.stopPropagation();
      const first = this.offers().at(0);
      if (first) this.add(first);
    }
    if (key === 'Escape' && !this.trigger().panelOpen && this.desk.chosen() !== '')
      this.desk.wanted.set({ what: 'line', path: this.desk.chosen() });
  }
}
