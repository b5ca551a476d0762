import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  viewChildren,
} from '@angular/core';
import { Field, sayValue, valueOf, Values } from '@enumeron/core/form';
import { Card } from '@enumeron/core/deck';
import { PackStore } from '../../nouns/pack/pack.store';
import { Viewport } from '../../platform/viewport';
import { FieldPad } from './field-pad';
import { LitPad } from './lit-pad';
import { TellField } from './tell-field';
import { Telling } from './telling';

const said = (field: Field, values: Values): string => {
  const value = valueOf(field, values);
  return typeof value === 'number' ? sayValue(field, value) : String(value);
};

/** The fields of a pattern or a fact, and the pad that fills the one that is lit. */
@Component({
  selector: 'en-tell-fields',
  imports: [FieldPad, LitPad, NgTemplateOutlet, TellField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tell-fields.html',
  styleUrl: './tell-fields.scss',
})
export class TellFields {
  readonly telling = input.required<Telling>();
  /** What the large key of a phone's pad does, and whether it can be done now. */
  readonly does = input.required<string>();
  readonly ready = input(false);
  /** A card was pressed on the wide pad, and is told. */
  readonly pressed = output();
  readonly done = output();
  readonly cleared = output();

  protected readonly pack = inject(PackStore);
  protected readonly phone = inject(Viewport).phone;
  protected readonly valueOf = valueOf;
  protected readonly active = computed(() => this.telling().active());
  protected readonly value = computed(() => {
    const [field, values] = [this.active(), this.telling().values()];
    return field && valueOf(field, values);
  });
  protected readonly selected = computed(() => {
    const value = this.value();
    return typeof value === 'number' ? value : undefined;
  });
  private readonly fields = computed(() => this.telling().form().fields);
  protected readonly told = computed(() => this.fields().filter(({ setup }) => !setup));
  protected readonly setup = computed(() => this.fields().filter(({ setup }) => setup));
  protected readonly setupSays = computed(() =>
    this.setup()
      .map((field) => `${field.label.toLowerCase()} ${said(field, this.telling().values())}`)
      .join(', '),
  );

  private readonly parts = viewChildren(TellField);

  /** Goes on to the field that must still be told. Gives false when there is none, or one is in it already. */
  goOn(): boolean {
    const lacking = this.telling().lacking();
    return (
      this.parts()
        .find((part) => part.field().name === lacking?.name)
        ?.focus() ?? false
    );
  }

  protected press(card: Card): void {
    this.telling().take(card);
    this.pressed.emit();
  }
}
