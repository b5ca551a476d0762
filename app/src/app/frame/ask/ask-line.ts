import { OverlayContainer } from '@angular/cdk/overlay';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  output,
  Renderer2,
  signal,
  viewChild,
} from '@angular/core';
import {
  MatAutocomplete,
  MatAutocompleteSelectedEvent,
  MatAutocompleteTrigger,
  MatOption,
} from '@angular/material/autocomplete';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { PackStore } from '../../nouns/pack/pack.store';
import { CardText } from '../../ui/card-text';
import { ask } from './ask';
import { Completion, Glossary, Intent, Reply } from './reply';

/** One option of the answer: what was understood, what is wrong, what must come next, or a way to go on. */
interface Answer {
  readonly kind: 'understood' | 'wrong' | 'hint' | 'completion';
  readonly says: string;
  readonly note?: string;
  /** The whole line that a completion makes. */
  readonly text?: string;
  readonly usage?: string;
  /** What choosing it does at once. */
  readonly intent?: Intent;
}

const answersOf = ({ intent, says, note, problem, hint, completions }: Reply): readonly Answer[] => [
  ...(intent ? [{ kind: 'understood', says: says ?? '', note } as const] : []),
  ...(problem ? [{ kind: 'wrong', says: problem } as const] : []),
  ...(hint ? [{ kind: 'hint', says: hint } as const] : []),
  ...completions.map((completion) => ({ kind: 'completion', ...completion }) as const),
];

/** The line that takes anything in a few characters and answers while one types. */
@Component({
  selector: 'en-ask-line',
  imports: [CardText, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ask-line.html',
  styleUrl: './ask-line.scss',
})
export class AskLine {
  private readonly pack = inject(PackStore);
  private readonly settings = inject(SettingsStore);
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  private readonly trigger = viewChild.required(MatAutocompleteTrigger);

  readonly asked = output<Intent>();
  /** Enter on the empty line. */
  readonly emptyEntered = output();
  /** Left while it was empty. */
  readonly left = output();

  protected readonly text = signal('');
  /** Comes when the line is gone into; where it does not come, words are not told, and all else is. */
  private readonly glossary = signal<Glossary | undefined>(undefined);
  private loading: Promise<void> | undefined;
  /** Whether the arrow keys have been used since something was typed. */
  private byArrow = false;
  protected readonly reply = computed(() =>
    ask(this.text(), {
      home: this.pack.home(),
      now: this.pack.now(),
      tolerance: this.settings.tolerance(),
      beside: this.pack.beside()?.name,
      glossary: this.glossary(),
    }),
  );
  protected readonly answers = computed(() => answersOf(this.reply()));
  protected readonly displayWith = (answer: Answer | string | null): string =>
    typeof answer === 'string' ? answer : (answer?.text ?? '');

  constructor() {
    // Lays the overlays' style sheet out now, at leisure: the first panel would have the whole page laid out anew.
    inject(OverlayContainer).getContainerElement();
    const renderer = inject(Renderer2);
    afterNextRender(() => {
      renderer.listen(this.field().nativeElement, 'keydown', (event: KeyboardEvent) => this.key(event), {
        capture: true,
      });
    });
  }

  /** Goes into the line. Its list opens a moment later: both at once would take longer than a frame. */
  focus(): void {
    const [field, trigger] = [this.field().nativeElement, this.trigger()];
    if (document.activeElement !== field) {
      trigger.autocompleteDisabled = true;
      setTimeout(() => {
        trigger.autocompleteDisabled = false;
        if (document.activeElement === field) trigger.openPanel();
      });
    }
    field.focus();
    field.select();
  }

  /**
   * Enter does what the text says at this moment, unless an option was chosen by arrow: the list may still
   * show what it said a key ago, so it is not asked. Runs before the list sees the key.
   */
  private key(event: KeyboardEvent): void {
    const empty = this.text().trim() === '';
    if (event.key === '/') {
      // One is there already; a slash means nothing here.
      event.preventDefault();
      this.focus();
    } else if (event.key === 'Escape') {
      if (empty) this.field().nativeElement.blur();
      else this.clear();
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      this.byArrow = true;
    } else if (event.key === 'Enter' && !this.byArrow) {
      event.stopPropagation();
      event.preventDefault();
      if (empty) {
        this.trigger().closePanel();
        this.emptyEntered.emit();
      } else if (this.reply().intent) this.act();
      else if (this.reply().problem === undefined && this.reply().completions.length > 0)
        this.take(this.reply().completions[0]);
    }
  }

  protected loadGlossary(): void {
    this.loading ??= import('../help/glossary')
      .then((module) => this.glossary.set(module))
      .catch((error: unknown) => console.warn(error));
  }

  protected typed(text: string): void {
    this.byArrow = false;
    this.text.set(text);
  }

  protected choose({ option }: MatAutocompleteSelectedEvent): void {
    const { text, intent } = option.value as Answer;
    option.deselect(false);
    if (intent) this.actOn(intent);
    else if (text !== undefined) this.goOn(text);
    else this.act();
  }

  /** Does what the line says at this moment; the list may still show what it said a key ago. */
  private act(): void {
    const { intent } = this.reply();
    if (intent) this.actOn(intent);
  }

  private take({ text, intent }: Completion): void {
    if (intent) this.actOn(intent);
    else this.goOn(text);
  }

  private actOn(intent: Intent): void {
    this.clear();
    this.trigger().closePanel();
    this.asked.emit(intent);
  }

  protected leave(): void {
    if (this.text().trim() === '') this.left.emit();
  }

  protected clear(): void {
    this.set('');
  }

  /** Takes a completion; one that can be done at once or lacks more is offered right away. */
  private goOn(text: string): void {
    this.set(text);
    queueMicrotask(() => this.trigger().openPanel());
  }

  private set(text: string): void {
    this.byArrow = false;
    this.text.set(text);
    this.field().nativeElement.value = text;
  }
}
