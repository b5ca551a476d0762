import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { Router } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { pageCalled } from '../ask/ask-pages';
import { nearestTerms, Term, TERMS, termsWith } from './glossary';

/** The address of the page that a term belongs to. */
const addressOf = ({ page }: Term): readonly string[] | undefined => {
  const intent = page === undefined ? undefined : pageCalled(page.toLowerCase())?.intent;
  return intent?.do === 'go'
    ? [intent.room.path]
    : intent?.do === 'open'
      ? [intent.room.path, intent.way.path].filter((part) => part !== '')
      : undefined;
};

/** The words of the craft, found by what they are called or what they mean. */
@Component({
  selector: 'en-glossary-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input
      #field
      type="search"
      class="search"
      aria-label="Find a word"
      placeholder="find a word"
      autocomplete="off"
      spellcheck="false"
      [value]="text()"
      (input)="text.set(field.value)"
    />
    <p class="count" aria-live="polite">
      @if (found().length > 0) {
        {{ count() }}
      } @else {
        No word here is like “{{ text().trim() }}”. Nearest:
      }
    </p>
    <dl>
      @for (term of shown(); track term.names[0]) {
        <dt>{{ term.names.join(', ') }}</dt>
        <dd>
          {{ term.says }}
          @if (address(term); as parts) {
            <button type="button" class="link" (click)="open(parts)">{{ term.page }}</button>
          }
        </dd>
      }
    </dl>`,
  styleUrls: ['./help.scss', './glossary-list.scss'],
})
export class GlossaryList {
  private readonly router = inject(Router);

  /** What is looked for at first. */
  readonly find = input('');
  readonly opened = output();

  protected readonly text = linkedSignal(() => this.find());
  protected readonly found = computed(() => termsWith(this.text()));
  protected readonly shown = computed(() =>
    this.found().length > 0 ? this.found() : nearestTerms(this.text()),
  );
  protected readonly count = computed(() =>
    this.found().length === TERMS.length
      ? countOf(TERMS.length, 'word')
      : `${countOf(this.found().length, 'word')} of ${TERMS.length.toString()}`,
  );
  protected readonly address = addressOf;

  protected open(parts: readonly string[]): void {
    this.opened.emit();
    void this.router.navigate(parts);
  }
}
