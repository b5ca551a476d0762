import { ChangeDetectionStrategy, Component, computed, signal, WritableSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { headRecipe, ORDER_RULES, orderByRule, Origin, Rule, RuleField } from '@enumeron/core/arrange';
import { sayProblem } from '@enumeron/core/deck';
import { keepDraft } from '../../storage/draft-fields';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { OrderSheet } from '../../ui/order-sheet';
import { HeadRecipeView } from '../order/head-recipe';
import { LeftDrafts } from '../../ui/left-drafts';
import { NewTabs } from './new-tabs';
import { SaveOrder } from '../../nouns/orders/save-order';
import { Choice } from '../../ui/choice';

type Kind = Rule['kind'];

const KINDS = Object.keys(ORDER_RULES) as Kind[];

/** Every given of any rule; rules that are given the same share it. */
const FIELDS: readonly RuleField[] = KINDS.flatMap((kind) => ORDER_RULES[kind].fields);

/** An order computed by a rule from a few givens, shown on the rail as they are changed. */
@Component({
  selector: 'en-rule-maker',
  imports: [
    Choice,
    HeadRecipeView,
    MatButton,
    MatFormField,
    MatHint,
    MatInput,
    MatLabel,
    LeftDrafts,
    NewTabs,
    OrderSheet,
    SaveOrder,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rule-maker.html',
  styleUrl: './rule-maker.scss',
})
export class RuleMaker {
  protected readonly kinds = KINDS;
  protected readonly kindWords = (kind: Kind): string => ORDER_RULES[kind].name;
  protected readonly kind = signal<Kind>(KINDS[0]);
  protected readonly chosen = computed(() => ORDER_RULES[this.kind()]);
  /** What is written, by the given's name. */
  protected readonly texts: Readonly<Record<string, WritableSignal<string>>> = Object.fromEntries(
    FIELDS.map(({ name, start }) => [name, signal(start)]),
  );
  protected readonly name = signal('');
  private seed = 1;

  private readonly read = computed(() => {
    const { fields, read } = this.chosen();
    return read(Object.fromEntries(fields.map(({ name }) => [name, this.texts[name]()])));
  });
  private readonly outcome = computed(() => {
    const read = this.read();
    return read.ok ? orderByRule(read.rule) : read;
  });
  protected readonly order = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? outcome.order : undefined;
  });
  private readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  });
  /** The field that is wrong by itself, its others as they begin: what is wrong stands beside it. */
  protected readonly wrong = computed(() => {
    const sentence = this.problem();
    if (sentence === undefined) return undefined;
    const { fields, read } = this.chosen();
    const starts = Object.fromEntries(fields.map(({ name, start }) => [name, start]));
    const field = fields.find(({ name }) => !read({ ...starts, [name]: this.texts[name]() }).ok);
    return { sentence, field: field?.name };
  });
  protected readonly origin = computed<Origin | undefined>(() => {
    const read = this.read();
    return read.ok ? { kind: 'rule', rule: read.rule } : undefined;
  });
  protected readonly recipe = computed(() => {
    const read = this.read();
    return read.ok && this.order() ? headRecipe(read.rule) : undefined;
  });

  protected readonly draft = keepDraft(
    'rule',
    { kind: this.kind, ...this.texts, name: this.name },
    (name, value) => name !== 'kind' || KINDS.some((kind) => kind === value),
  );

  constructor() {
    previewOnRail(() => {
      const order = this.order();
      return order && { home: order, now: order, label: 'The order by this rule' };
    });
  }

  protected another({ name, another }: RuleField): void {
    const text = another?.make(++this.seed);
    if (text !== undefined) this.texts[name].set(text);
  }
}
