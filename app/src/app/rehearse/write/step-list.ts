import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  untracked,
  viewChild,
} from '@angular/core';
import type { Step } from '@enumeron/core/file/procedure/procedure';
import { isSteps } from '@enumeron/core/file/rehearse/draft';
import { Line, pathOf, pathsFrom, sayPath, stepAt } from '@enumeron/core/file/rehearse/editSteps';
import { whoOf } from '@enumeron/core/file/rehearse/sentence';
import { Notices } from '../../platform/notices';
import { Acting } from '../act/acting.store';
import { Proving } from '../prove/proving.store';
import { Desk, Wanted } from '../desk/desk.store';
import { AddStep } from './add-step';
import { dragLines } from '../../ui/drag-lines';
import { linesInTurn } from './lines-in-turn';
import { StepFields } from './step-fields';
import { StepSentence } from './step-sentence';

/** After so long, in milliseconds, the focus does not go any more to what has not come: one is elsewhere by then. */
const GIVEN_UP = 1000;

/** The steps as they are written: each one sentence, what is inside others below it; the chosen one with its fields. */
@Component({
  selector: 'en-step-list',
  imports: [AddStep, StepFields, StepSentence],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './step-list.html',
  styleUrl: './step-list.scss',
})
export class StepList {
  protected readonly desk = inject(Desk);
  protected readonly proving = inject(Proving);
  private readonly acting = inject(Acting);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  protected readonly here = computed(() => this.acting.scene()?.path ?? '');
  protected readonly who = whoOf;
  private readonly list = viewChild.required<ElementRef<HTMLElement>>('list');
  /** Drawn by now: at least up to where one is. */
  protected readonly lines = linesInTurn(
    this.desk.lines,
    () => 1 + this.desk.lines().findIndex(({ path }) => path === this.wantedLine()),
  );
  private readonly wantedLine = computed(() => {
    const wanted = this.desk.wanted();
    return wanted && 'path' in wanted ? wanted.path : this.desk.chosen();
  });
  /** The lines of all chosen steps. */
  protected readonly isChosen = computed(() => {
    const all = pathsFrom(pathOf(this.desk.chosen()), this.desk.count());
    return (path: string): boolean => all.includes(path);
  });

  constructor() {
    dragLines({
      list: () => this.list().nativeElement,
      key: () =>
        this.lines()
          .map(({ path, key }) => `${path} ${key}`)
          .join(),
      dropped: (path, index) => this.desk.drop(path, index),
    });
    effect(() => {
      const wanted = this.desk.wanted();
      // What was added may show a moment later: it is tried again then.
      this.desk.lines();
      if (!wanted) return;
      untracked(() =>
        afterNextRender(
          {
            read: () => {
              if (this.focus(wanted)) this.forget(wanted);
              else setTimeout(() => this.forget(wanted), GIVEN_UP);
            },
          },
          { injector: this.injector },
        ),
      );
    });
  }

  private forget(wanted: Wanted): void {
    if (this.desk.wanted() === wanted) this.desk.wanted.set(undefined);
  }

  /** Gives whether what is wanted is there and has the focus. */
  private focus(wanted: Wanted): boolean {
    const selector =
      wanted.what === 'add'
        ? 'en-add-step input'
        : `[data-line="${wanted.path}"]${wanted.what === 'fields' ? ' :is(input, select)' : ''}`;
    const found = this.host.querySelector<HTMLElement>(selector);
    found?.focus();
    // What was begun there is written on.
    if (found instanceof HTMLInputElement && wanted.what !== 'add') found.select();
    return found !== null && found === document.activeElement;
  }

  /** A press on a field of a step goes into that field. */
  protected press({ target }: Event, line: Line): void {
    this.desk.wanted.set(undefined);
    const field =
      target instanceof Element ? target.closest<HTMLElement>('[data-part]')?.dataset['part'] : undefined;
    if (this.desk.chosen() === line.path && field === undefined) return;
    this.desk.choose(line.path);
    if (field === undefined) return;
    afterNextRender(
      {
        read: () =>
          this.host.querySelector<HTMLElement>(`[data-line="${line.path}"] [data-field="${field}"]`)?.focus(),
      },
      { injector: this.injector },
    );
  }

  protected key(event: KeyboardEvent, line: Line): void {
    // Keys in a field are the field's own, but Escape.
    const inField = event.target !== event.currentTarget;
    if (inField) {
      if (event.key === 'Escape' && !event.defaultPrevented)
        this.desk.wanted.set({ what: 'line', path: line.path });
      return;
    }
    if (!this.act(event)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** What a key does on a line. Gives whether it does anything. */
  private act(event: KeyboardEvent): boolean {
    const { key, altKey, shiftKey, ctrlKey, metaKey } = event;
    if (ctrlKey || metaKey) return false;
    const down = key === 'ArrowDown';
    if (down || key === 'ArrowUp') {
      if (altKey) this.desk.shift(down);
      else if (shiftKey) this.desk.extend(down ? 1 : -1);
      else this.go(down ? 1 : -1);
      return true;
    }
    switch (key) {
      case 'Home':
      case 'End':
        this.go(key === 'Home' ? -Infinity : Infinity);
        return true;
      case 'Enter':
      case 'F2':
        this.desk.wanted.set({ what: 'fields', path: this.desk.chosen() });
        return true;
      case 'Delete':
      case 'Backspace':
        this.desk.remove();
        return true;
      case '+':
      case 'Insert':
        this.desk.wanted.set({ what: 'add' });
        return true;
      default:
        return false;
    }
  }

  private go(by: number): void {
    const lines = this.desk.lines();
    const at = lines.findIndex(({ path }) => path === this.desk.chosen());
    const next = lines.at(Math.max(0, Math.min(lines.length - 1, at + by)));
    if (!next) return;
    this.desk.choose(next.path);
    this.desk.wanted.set({ what: 'line', path: next.path });
  }

  /** Whether copying and pasting are those of a text field. */
  private isText({ target }: Event): boolean {
    return target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
  }

  protected copy(event: ClipboardEvent): void {
    const steps = this.desk.chosenSteps();
    if (this.isText(event) || steps.length === 0) return;
    event.clipboardData?.setData('text/plain', JSON.stringify(steps, undefined, 2));
    event.preventDefault();
  }

  protected cut(event: ClipboardEvent): void {
    if (this.isText(event)) return;
    this.copy(event);
    if (event.defaultPrevented) this.desk.remove();
  }

  protected paste(event: ClipboardEvent): void {
    if (this.isText(event)) return;
    const steps = stepsIn(event.clipboardData?.getData('text/plain') ?? '');
    if (!steps) return;
    const problem = this.desk.paste(steps);
    if (problem) void this.notices.show(problem);
    event.preventDefault();
  }

  /** Tab and Enter go on from the words of a way inside it. */
  protected goOn(event: KeyboardEvent, line: Line): void {
    const { key, shiftKey } = event;
    if (key === 'Enter' ? event.isComposing : key !== 'Tab' || shiftKey) return;
    event.preventDefault();
    event.stopPropagation();
    this.desk.goInside(line.path);
  }

  /** What stands in an option of a choice. */
  protected writeOption(line: Line, words: string): void {
    const path = pathOf(line.path);
    const [holder, branch] = [path.slice(0, -1), path[path.length - 1]];
    const step = stepAt(this.desk.steps(), holder);
    if (step?.do !== 'choose one') return;
    const of = step.of.map((option, index) => (index === branch - 1 ? { ...option, words } : option));
    this.desk.set(sayPath(holder), 'of', of);
  }
}

/** Steps that were copied as text; undefined where it is something else. */
const stepsIn = (text: string): readonly Step[] | undefined => {
  try {
    const value: unknown = JSON.parse(text);
    return isSteps(value) && value.length > 0 ? value : undefined;
  } catch {
    return undefined;
  }
};
