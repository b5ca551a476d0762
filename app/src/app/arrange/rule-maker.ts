import { ChangeDetectionStrategy, Component, computed, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { halfOfMates, orderByRule, Origin, Rule } from '@enumeron/core/arrange';
import {
  formatOrder,
  numberOrder,
  parseCard,
  parseRank,
  parseSuit,
  readEntries,
  sayProblem,
  seededRng,
  shuffled,
} from '@enumeron/core/deck';
import { keepDraft } from '../data/draft-fields';
import { previewOnRail } from '../pack/rail-preview';
import { OrderSheet } from '../shared/order-sheet';
import { HeadRecipeView } from './head-recipe';
import { LeftDrafts } from '../shared/left-drafts';
import { NewTabs } from './new-tabs';
import { recipeFor } from './recipe-for';
import { SaveOrder } from './save-order';

type Kind = Rule['kind'];

const KINDS: readonly { readonly kind: Kind; readonly name: string; readonly says: string }[] = [
  { kind: 'rotating', name: 'Rotating', says: 'The rank goes up by a step, the suits go round.' },
  {
    kind: 'rank row',
    name: 'Rank row',
    says: 'A row of thirteen ranks that you remember, against suits that go round.',
  },
  { kind: 'mirrored halves', name: 'Mirrored halves', says: 'Each card’s mate lies 26 places on.' },
  {
    kind: 'palindrome',
    name: 'Palindrome',
    says: 'Each card’s mate lies as far from the face as it does from the top.',
  },
  {
    kind: 'factory',
    name: 'Suit by suit',
    says: 'Each suit from ace to king (+) or from king to ace (−), as a new pack may come.',
  },
];

/** An order computed by a rule from a few givens, shown on the rail as they are changed. */
@Component({
  selector: 'en-rule-maker',
  imports: [
    HeadRecipeView,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
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
  protected readonly kind = signal<Kind>('rotating');
  protected readonly says = computed(() => KINDS.find(({ kind }) => kind === this.kind())?.says);

  protected readonly first = signal('9D');
  protected readonly step = signal('5');
  protected readonly suits = signal('D S H C');
  protected readonly ranks = signal('8 K 3 10 2 7 9 5 Q 4 A 6 J');
  protected readonly half = signal(this.anyHalf(1));
  protected readonly signs = signal('+ + − −');
  protected readonly name = signal('');
  private seed = 1;

  private readonly rule = computed<Rule>(() => {
    const suits = suitsIn(this.suits());
    switch (this.kind()) {
      case 'rotating':
        return { kind: 'rotating', first: parseCard(this.first()) ?? -1, step: Number(this.step()), suits };
      case 'rank row':
        return { kind: 'rank row', ranks: ranksIn(this.ranks()), suits };
      case 'factory':
        return {
          kind: 'factory',
          suits,
          up: [...this.signs().replace(/\s/g, '')].map((sign) => sign === '+'),
        };
      case 'mirrored halves':
      case 'palindrome':
        return {
          kind: this.kind() as 'palindrome',
          half: readEntries(this.half()).flatMap(({ card }) => card ?? []),
        };
    }
  });

  private readonly outcome = computed(() =>
    this.kind() === 'rotating' && parseCard(this.first()) === undefined
      ? ({
          ok: false,
          problems: [{ what: 'The first card cannot be read.', remedy: 'Write it as 9D.' }],
        } as const)
      : orderByRule(this.rule()),
  );
  protected readonly order = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? outcome.order : undefined;
  });
  protected readonly problem = computed(() => {
    const outcome = this.outcome();
    return outcome.ok ? undefined : sayProblem(outcome.problems[0]);
  });
  protected readonly origin = computed<Origin>(() => ({ kind: 'rule', rule: this.rule() }));
  protected readonly recipe = computed(() => (this.order() ? recipeFor(this.rule()) : undefined));

  protected readonly draft = keepDraft(
    'rule',
    {
      kind: this.kind,
      first: this.first,
      step: this.step,
      suits: this.suits,
      ranks: this.ranks,
      half: this.half,
      signs: this.signs,
      name: this.name,
    },
    (name, value) => name !== 'kind' || KINDS.some(({ kind }) => kind === value),
  );

  constructor() {
    previewOnRail(() => {
      const order = this.order();
      return order && { home: order, now: order, label: 'The order by this rule' };
    });
  }

  protected anotherHalf(): void {
    this.half.set(this.anyHalf(++this.seed));
  }

  private anyHalf(seed: number): string {
    return formatOrder(halfOfMates(shuffled(numberOrder(), seededRng(seed))));
  }
}

const suitsIn = (text: string): NonNullable<ReturnType<typeof parseSuit>>[] =>
  [...text.replace(/[\s,]/g, '')].flatMap((letter) => parseSuit(letter) ?? []);

const ranksIn = (text: string): NonNullable<ReturnType<typeof parseRank>>[] =>
  text
    .trim()
    .split(/[\s,]+/)
    .flatMap((word) => parseRank(word) ?? []);
