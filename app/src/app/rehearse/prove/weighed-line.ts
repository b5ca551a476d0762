import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { statedIn } from '@enumeron/core/file/record/instructions';
import { sayStated } from '@enumeron/core/file/record/sayChoices';
import { refresh } from '../../nouns/performances/refresh-later';
import { ByRecord } from '../../nouns/procedures/by-record';
import { Scripts } from '../../platform/scripts';
import { Desk } from '../desk/desk.store';

/** Which choices of the procedure are weighed by the record, with what was stated; that the record grew is told once. */
@Component({
  selector: 'en-weighed-line',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (each of lines(); track each.name) {
      <p>
        <strong>{{ each.name }}</strong> {{ each.says }}
        <a routerLink="/record/choices" [queryParams]="{ of: each.key }">Look</a>
        <button type="button" (click)="setBack(each.name)">Set it back</button>
      </p>
    }
    @if (grew(); as words) {
      <p class="grew" role="status">
        {{ words }} <button type="button" (click)="byRecord.told(desk.id())">Noted</button>
      </p>
    }`,
  styles: `
    p {
      margin: 0.3rem 0;
      color: var(--muted);
    }
    strong {
      color: var(--ink);
    }
    .grew {
      padding: 4px 10px;
      border-left: 3px solid var(--gold-line);
      background: var(--gold-wash);
      color: var(--ink);
    }
    a,
    button {
      display: inline-block;
      min-height: 44px;
      padding: 10px 6px;
      border: 0;
      background: none;
      color: var(--petrol);
      font: inherit;
      text-decoration: none;
      cursor: pointer;
    }
  `,
})
export class WeighedLine {
  protected readonly desk = inject(Desk);
  protected readonly byRecord = inject(ByRecord);

  private readonly stated = computed(() => {
    const procedure = this.desk.procedure();
    return procedure ? statedIn(procedure) : [];
  });
  protected readonly lines = computed(() =>
    this.byRecord.choicesOf(this.desk.id()).flatMap(({ name, by, fit }) => {
      const stated = this.stated().find((each) => each.name === name);
      if (!stated) return [];
      const before = sayStated(stated.likely);
      const n = fit?.n ?? 0;
      return [
        {
          ...{ name, key: by.key },
          says:
            n === 0
              ? `by your record: nothing is noted yet, so as it is stated (${before}).`
              : `by your ${countOf(n, 'choice')}; before: ${before}.`,
        },
      ];
    }),
  );
  protected readonly grew = computed(() => {
    const grown = this.byRecord
      .choicesOf(this.desk.id())
      .flatMap(({ name, fit }) =>
        fit?.before === undefined
          ? []
          : [`${name}: ${fit.before.toString()} choices then, ${fit.n.toString()} now`],
      );
    return grown.length === 0
      ? ''
      : `Your record changed, and so did what is worked out by it. ${grown.join('; ')}.`;
  });

  constructor() {
    const [injector, scripts] = [inject(Injector), inject(Scripts)];
    // A restored backup, or a choice that is called otherwise now, may lack what was worked out.
    effect(() => {
      const lacks = this.byRecord.choicesOf(this.desk.id()).some(({ fit }) => !fit);
      if (lacks) untracked(() => void refresh(injector, scripts));
    });
  }

  protected setBack(name: string): void {
    void this.byRecord.weigh(this.desk.id(), name, undefined);
  }
}
