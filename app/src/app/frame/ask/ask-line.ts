import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  MatAutocomplete,
  MatAutocompleteSelectedEvent,
  MatAutocompleteTrigger,
  MatOption,
} from '@angular/material/autocomplete';
import { PackStore } from '../../pack/pack.store';
import { CardText } from '../../shared/card-text';
import { ask, Intent } from './ask';

/** What an option stands for: do what was understood, or go on typing. */
type Choice = { readonly act: true } | { readonly text: string };

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
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  private readonly trigger = viewChild.required(MatAutocompleteTrigger);

  readonly asked = output<Intent>();
  /** Enter on the empty line. */
  readonly emptyEntered = output();

  protected readonly text = signal('');
  protected readonly reply = computed(() =>
    ask(this.text(), { home: this.pack.home(), now: this.pack.now() }),
  );
  protected readonly displayWith = (choice: Choice | string | null): string =>
    typeof choice === 'string' ? choice : choice && 'text' in choice ? choice.text : '';

  focus(): void {
    this.field().nativeElement.focus();
    this.field().nativeElement.select();
  }

  protected key(event: KeyboardEvent): void {
    const empty = this.text().trim() === '';
    if (event.key === '/') {
      // Where one is already; a slash means nothing here.
      event.preventDefault();
      this.focus();
    } else if (event.key === 'Escape') {
      if (empty) this.field().nativeElement.blur();
      else this.clear();
    } else if (event.key === 'Enter' && !event.defaultPrevented) {
      // An Enter that chose an option has been dealt with; here the list had none yet.
      if (empty) this.emptyEntered.emit();
      else this.act();
    }
  }

  protected choose({ option }: MatAutocompleteSelectedEvent): void {
    const choice = option.value as Choice;
    option.deselect(false);
    if ('text' in choice) this.goOn(choice.text);
    else this.act();
  }

  /** Does what the line says at this moment; the list may still show what it said a key ago. */
  private act(): void {
    const { intent } = this.reply();
    if (!intent) return;
    this.clear();
    this.trigger().closePanel();
    this.asked.emit(intent);
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
    this.text.set(text);
    this.field().nativeElement.value = text;
  }
}
