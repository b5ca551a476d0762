import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { headRecipe } from '@enumeron/core/file/arrange/rule';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { describeMove } from '@enumeron/core/file/moves/move';
import { exchangesBetween, placesChanged } from '@enumeron/core/file/wish/changes';
import { ruleBehind } from '@enumeron/core/file/wish/kinds/byRule';
import { withoutWeight } from '@enumeron/core/file/wish/editWish';
import { sayWish } from '@enumeron/core/file/wish/sayWish';
import { HeadRecipeView } from '../order/head-recipe';
import { CardText } from '../../ui/card-text';
import { Strip } from '../../ui/strip';
import { Wishing } from './wishing.store';

const NUMBERS = ['No', 'This one', 'These two', 'These three', 'These four', 'These five', 'These six'];

/** What was found: an order and what it costs, a conflict and what can be given up, or the nearest. */
@Component({
  selector: 'en-found-panel',
  imports: [CardText, HeadRecipeView, MatButton, MatProgressBar, Strip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './found-panel.html',
  styleUrl: './found-panel.scss',
})
export class FoundPanel {
  protected readonly wishing = inject(Wishing);

  private readonly held = computed(() => {
    const checks = this.wishing.checks();
    const wrong = this.wishing.problems().filter((problem) => problem !== undefined).length;
    const known = checks.filter((check) => check !== undefined).length;
    return {
      right: checks.filter((check) => check?.holds).length,
      all: checks.length,
      isKnown: known + wrong === checks.length,
    };
  });
  /** How many wishes the order that is shown holds. */
  protected readonly judged = computed(() => {
    const { right, all, isKnown } = this.held();
    if (all === 0) return 'No wish yet';
    if (!isKnown) return 'Being judged …';
    if (right === all) return all === 1 ? 'It holds' : `All ${all} hold`;
    return `${right} of ${all} hold`;
  });

  protected readonly progress = computed(() => {
    const progress = this.wishing.progress();
    if (!progress) return undefined;
    const { best, asked, share } = progress;
    return {
      share: 100 * share,
      says: `${asked - best.broken} of ${countOf(asked, 'wish', 'wishes')} held so far`,
    };
  });

  protected readonly conflict = computed(() => {
    const found = this.wishing.found();
    if (found?.end !== 'conflict' || this.wishing.isStale()) return undefined;
    const wishes = this.wishing.wishes();
    const { conflict, smallest, how, why, without } = found;
    const title = NUMBERS.at(conflict.length) ?? `These ${conflict.length}`;
    return {
      title: conflict.length === 1 ? 'This one cannot be met' : `${title} cannot live together`,
      why: why ?? (how === 'counted' ? 'Counting shows it.' : 'Every way was gone through.'),
      note: smallest ? '' : 'Perhaps fewer of them already cannot: that was not decided.',
      rows: conflict.map((wish, at) => ({
        at,
        number: wish + 1,
        says: sayWish(withoutWeight(wishes[wish])),
        has: without[at] !== undefined,
        isShown: this.wishing.without() === at,
      })),
    };
  });

  protected readonly result = computed(() => {
    const found = this.wishing.found();
    if (!found || found.end === 'conflict' || this.wishing.isStale()) return undefined;
    if (found.end === 'not found')
      return {
        title: 'Not found in the time',
        says: 'This is the nearest. Nothing says that it cannot be done: another try may find it, or one wish fewer.',
      };
    const wishes = this.wishing.wishes();
    const left = found.left.map((wish) => sayWish(withoutWeight(wishes[wish])));
    return {
      title: left.length === 0 ? 'It is on the rail' : 'It is on the rail, as far as can be',
      says: left.length === 0 ? '' : `Left out: ${left.join('; ')}.`,
    };
  });

  /** With a start: what lies elsewhere, and how to lay the pack in hand. */
  protected readonly changed = computed(() => {
    const [from, to] = [this.wishing.base(), this.wishing.order()];
    if (!this.wishing.isOwn() || this.wishing.isFinding()) return undefined;
    const places = placesChanged(from, to);
    const found = this.wishing.found();
    const fewest = found?.end === 'found' && !this.wishing.isStale() && found.changes !== undefined;
    const moves = places.length <= 26 ? exchangesBetween(from, to).map((move) => describeMove(move)) : [];
    return {
      says: `${countOf(places.length, 'card')} ${places.length === 1 ? 'lies' : 'lie'} elsewhere than before${
        fewest ? (found.fewest ? ', and no fewer would do.' : '; fewer was not found.') : '.'
      }`,
      moves,
    };
  });

  /** The sum for the head, where a rule was wished for and holds. */
  protected readonly recipe = computed(() => {
    const index = this.wishing
      .wishes()
      .findIndex((wish, at) => wish.kind === 'by rule' && this.wishing.checks()[at]?.holds === true);
    const wish = index < 0 ? undefined : this.wishing.wishes()[index];
    return wish?.kind === 'by rule' ? headRecipe(ruleBehind(this.wishing.cards(), wish.rule)) : undefined;
  });
}
