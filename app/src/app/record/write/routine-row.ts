import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { SUM_KINDS } from '@enumeron/core/file/learn/sums/kinds';
import { chosenOn } from '@enumeron/core/file/perform/cue/chosen';
import { isSameChoice, withChoice, withEnding, withText } from '@enumeron/core/file/record/changeNight';
import { type RoutineDone, type RoutineEnding, type WasChosen } from '@enumeron/core/file/perform/cue/done';
import { ENDING_WORDS, sayChosenValue } from '@enumeron/core/file/record/sayNight';
import { parseCard } from '@enumeron/core/deck';
import { Stated } from '../stated';

/** The endings as they are offered, each with its key. */
const ENDS: readonly (readonly [how: RoutineEnding, key: string, label: string])[] = [
  ['hit', 'h', 'Hit'],
  ['out', 'o', 'Out'],
  ['missed', 'm', 'Missed'],
  ['stopped', 's', 'Stopped'],
  ['left out', 'l', 'Left out'],
];

/** What can be written of one choice. */
interface Slot {
  readonly path: string;
  readonly name: string;
  readonly from: number | undefined;
  readonly to: number | undefined;
  /** The ways to choose from; undefined where a number, card or word is written. */
  readonly ways: readonly string[] | undefined;
  readonly chosen: WasChosen | undefined;
  readonly text: string;
  readonly label: string;
}

/** A change of the routine: what it is called, and what makes it. */
export interface RoutineChange {
  readonly label: string;
  readonly about: string;
  make(done: RoutineDone): RoutineDone;
}

/** One routine of a night as it is written down: how it ended, what was chosen, and whatever else was. */
@Component({
  selector: 'en-routine-row',
  imports: [MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './routine-row.html',
  styleUrl: './routine-row.scss',
})
export class RoutineRow {
  readonly done = input.required<RoutineDone>();
  /** Its place in the night, from 0. */
  readonly index = input.required<number>();
  readonly audience = input.required<string>();
  readonly changed = output<RoutineChange>();
  /** It is told: the focus goes to the next field. */
  readonly goesOn = output<HTMLElement>();
  readonly removed = output();

  private readonly stated = inject(Stated);
  protected readonly ends = ENDS;
  protected readonly endWords = ENDING_WORDS;
  protected readonly sums = SUM_KINDS.map(({ name }) => name);
  protected readonly isOff = computed(() => ['out', 'missed', 'stopped'].includes(this.done().how));
  private readonly procedure = computed(() => this.stated.procedureOf(this.done().id));

  /** A field for each choice of its procedure, and for whatever else was chosen. */
  protected readonly slots = computed((): readonly Slot[] => {
    const procedure = this.procedure();
    const { choices } = this.done();
    const stated = procedure ? this.stated.choicesOf(procedure) : [];
    const own = stated.map(({ path, name, ways, from, to }): Slot => {
      const chosen = choices.find((each) => isSameChoice(each, { path, name }));
      return slotOf({ path, name, from, to, ways }, chosen);
    });
    const others = choices.filter((each) => !each.seen && !stated.some((slot) => isSameChoice(each, slot)));
    return [
      ...own,
      ...others.map((chosen) =>
        slotOf(
          { path: chosen.path, name: chosen.name, from: undefined, to: undefined, ways: undefined },
          chosen,
        ),
      ),
    ];
  });

  protected end(how: RoutineEnding): void {
    this.changed.emit({
      ...{ label: `${this.done().name}: ${ENDING_WORDS[how]}`, about: `ending ${this.index().toString()}` },
      make: (done) => withEnding(done, how),
    });
  }

  /** A letter tells the ending; Enter alone that it hit. */
  protected endKey(event: KeyboardEvent, host: HTMLElement): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const found = ENDS.find(([, key]) => key === event.key.toLowerCase());
    if (found) this.end(found[0]);
    else if (event.key !== 'Enter') return;
    else if (this.done().how === 'not noted') this.end('hit');
    event.preventDefault();
    this.goesOn.emit(host);
  }

  protected goOn(event: Event): void {
    event.preventDefault();
    this.goesOn.emit(event.target as HTMLElement);
  }

  /** What is typed for a choice; nothing takes it away, and what is none of its values is not kept. */
  protected choose(slot: Slot, text: string): void {
    const chosen = this.chosenBy(slot, text.trim());
    if (chosen === 'wrong') return;
    this.changed.emit({
      ...{
        label: `${this.done().name}: ${slot.name} ${text}`.trim(),
        about: `${this.index().toString()} ${slot.name}`,
      },
      make: (done) => withChoice(done, slot, chosen),
    });
  }

  protected isWrong(slot: Slot, text: string): boolean {
    return this.chosenBy(slot, text.trim()) === 'wrong';
  }

  private chosenBy(slot: Slot, text: string): WasChosen | 'wrong' | undefined {
    if (text === '') return undefined;
    const { path, name, from = -Infinity, to = Infinity, chosen } = slot;
    if (/^\d{1,9}$/.test(text)) {
      const value = Number(text);
      if (value < from || value > to) return 'wrong';
      return chosenOn({ path, name, ask: undefined }, value, this.procedure(), this.audience() || undefined);
    }
    if (slot.ways !== undefined || slot.from !== undefined) return 'wrong';
    const card = parseCard(text);
    const before = chosen?.named ? { named: true as const } : {};
    return card === undefined
      ? { path, name, value: 0, sort: 'word', words: text.slice(0, 200), ...before, named: true }
      : { path, name, value: card, sort: 'card', ...before };
  }

  protected text(field: 'why' | 'wrong', label: string, text: string): void {
    this.changed.emit({
      ...{ label: `${this.done().name}: ${label}`, about: `${field} ${this.index().toString()}` },
      make: (done) => withText(done, field, text.slice(0, 4000)),
    });
  }

  protected slip(sum: string): void {
    this.changed.emit({
      ...{ label: `${this.done().name}: a slip`, about: '' },
      make: (done) => ({ ...done, slips: [...(done.slips ?? []), sum] }),
    });
  }

  protected noSlip(index: number): void {
    this.changed.emit({
      ...{ label: `${this.done().name}: no slip`, about: '' },
      make: (done) => {
        const slips = (done.slips ?? []).filter((_, at) => at !== index);
        return { ...done, slips };
      },
    });
  }

  /** One more field, for what no procedure says. */
  protected another(name: string): void {
    if (name.trim() === '') return;
    this.changed.emit({
      ...{ label: `${this.done().name}: ${name}`, about: '' },
      make: (done) =>
        withChoice(
          done,
          { path: '', name: name.trim() },
          {
            ...{ path: '', name: name.trim().slice(0, 80), value: 0, sort: 'word', words: '', named: true },
          },
        ),
    });
  }
}

const slotOf = (
  about: Pick<Slot, 'path' | 'name' | 'from' | 'to' | 'ways'>,
  chosen: WasChosen | undefined,
): Slot => {
  const { from, to, name } = about;
  const range = from !== undefined && to !== undefined ? `, ${from.toString()} to ${to.toString()}` : '';
  const text = chosen === undefined ? '' : about.ways ? chosen.value.toString() : sayChosenValue(chosen);
  return { ...about, chosen, text, label: `${name}${range}` };
};
