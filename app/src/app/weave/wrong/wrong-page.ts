import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Card, parsePart, sayProblem, showCard, suitOf } from '@enumeron/core/deck';
import { describeMove, WeaveKind } from '@enumeron/core/moves';
import {
  ALL_KINDS,
  DoubtfulWeave,
  NEAR_MIDDLE,
  RowWish,
  sayExplanation,
  SeenCard,
  upperPlaces,
  WeaveExplanation,
} from '@enumeron/core/weave';
import { keepDraft } from '../../storage/draft-fields';
import { PackStore } from '../../nouns/pack/pack.store';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { CardText } from '../../ui/card-text';
import { EntryField } from '../../ui/form/entry-field';
import { cardCompleter, cardReader, numberReader } from '../../ui/form/reading';
import { once } from '../../platform/once';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { WeaveLog } from '../log/weave-log';
import { WeaveLogStore } from '../../nouns/weaves/weave-log.store';
import { Choice } from '../../ui/choice';

/** So many explanations are listed until more are asked for. */
const FIRST = 5;

/** The longest row back that is searched for. */
const LONGEST_BACK = 4;

/** A weave that may have gone wrong: from a few glimpses or the whole order, what happened, and the way back. */
@Component({
  selector: 'en-wrong-page',
  imports: [Choice, CardText, EntryField, MatButton, MatProgressBar, WeaveLog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wrong-page.html',
  styleUrls: ['../../ui/page.scss', '../plan/plan.scss', '../orders/orders-page.scss', './wrong-page.scss'],
})
export class WrongPage {
  protected readonly pack = inject(PackStore);
  private readonly log = inject(WeaveLogStore);

  protected readonly kinds: readonly WeaveKind[] = ['in', 'out'];
  protected readonly near = NEAR_MIDDLE;
  protected readonly intended = signal<WeaveKind>('out');
  /** What was seen, as it is written: a place and a card each; a line may lack one of them. */
  protected readonly places = signal<readonly (number | null)[]>([]);
  protected readonly cards = signal<readonly (number | null)[]>([]);
  /** The whole order, as text. */
  protected readonly whole = signal('');
  protected readonly chosen = signal(0);
  protected readonly listsAll = signal(false);

  protected readonly show = showCard;
  protected readonly showNumber = (place: number): string => place.toString();
  protected readonly readPlace = computed(() => numberReader(this.pack.size()));
  protected readonly readCard = computed(() => cardReader(this.pack.now()));
  protected readonly complete = computed(() => cardCompleter(this.pack.now()));

  /** The lines, and an empty one for the next. */
  protected readonly lines = computed(() => {
    const [places, cards] = [this.places(), this.cards()];
    const count = Math.max(places.length, cards.length) + 1;
    return Array.from({ length: count }, (_, index) => {
      const [place, card] = [places.at(index) ?? undefined, cards.at(index) ?? undefined];
      return index < count - 1 || count === 1
        ? { place, card, suit: card === undefined ? undefined : suitOf(card) }
        : { place: undefined, card: undefined, suit: undefined };
    });
  });

  /** The whole order as it is read; undefined while none is written. */
  private readonly wholeRead = computed(() =>
    this.whole().trim() === '' ? undefined : parsePart(this.whole()),
  );
  protected readonly wholeProblem = computed(() => {
    const [read, now] = [this.wholeRead(), this.pack.now()];
    if (!read) return undefined;
    if (!read.ok) return sayProblem(read.problems[0]);
    const other = read.order.find((card) => !now.includes(card));
    if (other !== undefined) return `${showCard(other)} is not in this pack.`;
    const lacks = now.filter((card) => !read.order.includes(card));
    if (lacks.length === 0) return undefined;
    return `${lacks.length.toString()} of the pack’s cards are lacking, ${showCard(lacks[0])} among them.`;
  });
  private readonly seen = computed<readonly SeenCard[]>(() => {
    const read = this.wholeRead();
    if (read?.ok) return read.order.map((card, index) => ({ place: index + 1, card }));
    return this.lines().flatMap(({ place, card }) =>
      place === undefined || card === undefined ? [] : [{ place, card }],
    );
  });
  private readonly asked = computed<DoubtfulWeave | undefined>(() =>
    this.seen().length === 0 || this.wholeProblem() !== undefined
      ? undefined
      : { before: this.pack.now(), intended: this.intended(), seen: this.seen() },
  );
  private readonly job = jobView('diagnosis', this.asked);
  protected readonly failed = computed(() => this.job()?.kind === 'failed');
  protected readonly found = computed(() => answerOf(this.job()));
  protected readonly explanations = computed(() =>
    (this.found()?.explanations ?? []).map((each) => ({ each, says: sayExplanation(each, this.intended()) })),
  );
  protected readonly listed = computed(() =>
    this.listsAll() ? this.explanations() : this.explanations().slice(0, FIRST),
  );
  protected readonly shown = computed(
    () => this.explanations().at(Math.min(this.chosen(), this.explanations().length - 1))?.each,
  );
  /** How many explanations are as good as the first, and where to look next. */
  protected readonly ties = computed(() => {
    const found = this.found();
    if (!found || found.ties < 2) return undefined;
    const many = found.ties < 1e6 ? found.ties.toLocaleString('en') : 'more than a million';
    return `${many} explanations have as few faults.`;
  });

  /** Back by hand: which cards are stripped out. */
  protected readonly strip = computed(() => {
    const shown = this.shown();
    return shown ? upperPlaces(this.pack.now(), shown).join(', ') : '';
  });
  private readonly wayBack = computed<RowWish | undefined>(() => {
    const shown = this.shown();
    return (
      shown && {
        ...{ from: shown.after, kinds: ALL_KINDS, cuts: 'free', longest: LONGEST_BACK },
        goal: { kind: 'order', to: this.pack.home(), turned: true },
      }
    );
  });
  private readonly search = jobView('row', this.wayBack);
  protected readonly searching = computed(() => this.search()?.kind === 'running');
  protected readonly back = computed(() => {
    const found = answerOf(this.search());
    return found && (found.row?.map((move) => describeMove(move, this.pack.size())) ?? 'none');
  });
  protected readonly longest = LONGEST_BACK;

  protected readonly draft = keepDraft(
    'weave that went wrong',
    { intended: this.intended, places: this.places, cards: this.cards, whole: this.whole },
    (name, value) =>
      name === 'intended'
        ? value === 'in' || value === 'out'
        : !Array.isArray(value) || value.every((each) => each === null || Number.isInteger(each)),
  );

  constructor() {
    previewOnRail(() => {
      const shown = this.shown();
      return (
        shown && { home: this.pack.home(), now: shown.after, label: 'The pack, as this explanation has it' }
      );
    });
  }

  protected setPlace(index: number, place: number | undefined): void {
    this.places.update((places) => withAt(places, index, place));
    this.chosen.set(0);
  }

  protected setCard(index: number, card: Card | undefined): void {
    this.cards.update((cards) => withAt(cards, index, card));
    this.chosen.set(0);
  }

  protected clear(): void {
    this.places.set([]);
    this.cards.set([]);
    this.whole.set('');
    this.chosen.set(0);
  }

  protected readonly take = once('take an explanation', ({ after }: WeaveExplanation) => {
    // What was seen is of the pack before.
    this.clear();
    return this.pack.become(after, 'take the pack as the weave left it');
  });

  protected readonly note = once('note a weave that slipped', ({ cut, faults, slips }: WeaveExplanation) =>
    this.log.add({ weave: this.intended(), size: this.pack.size(), cut, faults, slips }),
  );
}

/** A list with another value at an index, null where it is gone; what lies between is null too. */
const withAt = (
  values: readonly (number | null)[],
  index: number,
  value: number | undefined,
): readonly (number | null)[] =>
  Array.from({ length: Math.max(values.length, index + 1) }, (_, at) =>
    at === index ? (value ?? null) : (values.at(at) ?? null),
  );
