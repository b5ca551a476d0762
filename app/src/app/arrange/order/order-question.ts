import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { askOrder, CutCase, Question, Relation } from '@enumeron/core/arrange';
import { Card, ComposedWay, parsePart, sayProblem } from '@enumeron/core/deck';
import { applyMove, parseMovesText } from '@enumeron/core/moves';
import { CardText } from '../../ui/card-text';

const RELATIONS: readonly Relation[] = [
  'mates',
  'of the same rank',
  'of the same suit',
  'of the same colour',
];
const KINDS: readonly { readonly kind: Question['kind']; readonly name: string }[] = [
  { kind: 'apart', name: 'two cards this far apart are alike' },
  { kind: 'composed card', name: 'rank of one, suit of the next: where the card lies' },
  { kind: 'sum', name: 'the next ranks add up to the number cut' },
  { kind: 'together', name: 'certain cards stay side by side' },
];

/** A property chosen by the user, tried over every cut of an order, also after some moves. */
@Component({
  selector: 'en-order-question',
  imports: [CardText, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './order-question.html',
  styleUrl: './order-question.scss',
})
export class OrderQuestion {
  readonly order = input.required<readonly Card[]>();

  protected readonly kinds = KINDS;
  protected readonly relations = RELATIONS;
  protected readonly ways: readonly ComposedWay[] = ['rank then suit', 'suit then rank'];

  protected readonly kind = signal<Question['kind']>('apart');
  protected readonly relation = signal<Relation>('mates');
  protected readonly way = signal<ComposedWay>('rank then suit');
  /** The number that the question holds, as it was written. */
  protected readonly number = signal('26');
  protected readonly ranks = signal('2');
  protected readonly cards = signal('');
  protected readonly moves = signal('');
  protected readonly opened = signal<number | undefined>(undefined);

  private readonly read = computed<{ question?: Question; problem?: string }>(() => {
    const number = /^[-−]?\d{1,3}$/.test(this.number().trim())
      ? Number(this.number().trim().replace('−', '-'))
      : undefined;
    const [kind, size] = [this.kind(), this.order().length];
    if (kind === 'together') return this.readTogether();
    if (number === undefined) return { problem: 'Write a whole number.' };
    if (kind === 'sum') {
      const count = Number(this.ranks());
      return count >= 1 && count <= 5
        ? { question: { kind, count, more: number } }
        : { problem: 'Take from 1 to 5 ranks.' };
    }
    if (number < 1 || number >= size)
      return { problem: `Write a number from 1 to ${(size - 1).toString()}.` };
    return kind === 'apart'
      ? { question: { kind, relation: this.relation(), distance: number } }
      : { question: { kind, way: this.way(), place: number } };
  });

  private readonly after = computed(() => parseMovesText(this.moves(), this.order()));
  protected readonly problem = computed(() => this.after().problem ?? this.read().problem);

  protected readonly answer = computed(() => {
    const { question } = this.read();
    return question && !this.after().problem
      ? askOrder(this.after().moves.reduce(applyMove, this.order()), question)
      : undefined;
  });
  protected readonly case = computed<CutCase | undefined>(() => this.answer()?.cases[this.opened() ?? -1]);

  protected readonly numberLabel = computed(
    () =>
      ({
        apart: 'How many places apart',
        'composed card': this.way() === 'rank then suit' ? 'Place from the top' : 'Place from the face',
        sum: 'And so many more (0 for the number itself)',
        together: '',
      })[this.kind()],
  );

  protected ask(kind: string): void {
    this.kind.set(kind as Question['kind']);
    this.opened.set(undefined);
    this.number.set({ apart: '26', 'composed card': '12', sum: '0', together: '' }[this.kind()]);
  }

  private readTogether(): { question?: Question; problem?: string } {
    if (this.cards().trim() === '') return { problem: 'Name the cards, such as 7D 8D 9D.' };
    const outcome = parsePart(this.cards());
    return outcome.ok
      ? { question: { kind: 'together', cards: outcome.order } }
      : { problem: sayProblem(outcome.problems[0]) };
  }
}
