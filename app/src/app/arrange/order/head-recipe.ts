import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { HeadRecipe } from '@enumeron/core/arrange';
import { CardText } from '../../ui/card-text';

/** How a stack number is computed in the head, and one card worked out. */
@Component({
  selector: 'en-head-recipe',
  imports: [CardText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h3>In your head</h3>
    <ol>
      @for (step of recipe().steps; track $index) {
        <li><en-card-text [text]="step" /></li>
      }
    </ol>
    <h3>One worked out</h3>
    @for (line of recipe().example; track $index) {
      <p><en-card-text [text]="line" /></p>
    }`,
  styles: `
    ol {
      margin: 0.3rem 0 1rem;
      padding-left: 1.3rem;
    }
    li {
      padding: 0.2rem 0;
    }
    p {
      margin: 0.15rem 0;
      font-family: var(--mono);
    }
  `,
})
export class HeadRecipeView {
  readonly recipe = input.required<HeadRecipe>();
}
