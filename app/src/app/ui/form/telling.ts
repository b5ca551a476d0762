import { Field, FieldValue, Form, lackingField, Values } from '@enumeron/core/form';
import { computed, linkedSignal, Signal } from '@angular/core';

/** How the fields of a form are told: which one a pad fills now, and what a press on it does. */
export class Telling {
  /** The first field that must still be told, or undefined. */
  readonly lacking = computed(() => lackingField(this.form(), this.values()));
  /** The field that a pad fills: the first that is lacking, until another is entered. */
  readonly active = linkedSignal<Field | undefined>(() => this.lacking() ?? this.form().fields.at(0));

  /**
   * @param form whose fields are told.
   * @param values what has been told so far; it must know of a value as soon as that is put.
   * @param put keeps the value of a field; undefined empties it.
   */
  constructor(
    readonly form: Signal<Form>,
    readonly values: Signal<Values>,
    readonly put: (field: Field, value: FieldValue | undefined) => void,
  ) {}

  /** What a pad gives goes to the field that is lit; a row of cards grows by it, and the next lacking field is lit. */
  take(value: number | undefined): void {
    const field = this.active();
    if (!field || field.kind === 'suits' || field.kind === 'choice') return;
    this.put(field, this.with(field, value));
    // A number may have another digit, a row another card.
    const more = field.kind === 'number' || field.kind === 'numbers' || field.kind === 'cards';
    this.active.set(more ? field : (this.lacking() ?? this.cardAfter(field) ?? field));
  }

  /** Lights the field after the one that is lit. */
  next(): void {
    const { fields } = this.form();
    const at = fields.findIndex(({ name }) => name === this.active()?.name);
    this.active.set(fields.at((at + 1) % fields.length));
  }

  /** The next card that may be told and is not yet. */
  private cardAfter(field: Field): Field | undefined {
    const { fields } = this.form();
    return fields
      .slice(fields.findIndex(({ name }) => name === field.name) + 1)
      .find(({ name, kind }) => kind === 'card' && this.values()[name] === undefined);
  }

  private with(field: Field, value: number | undefined): FieldValue | undefined {
    if (value === undefined) return undefined;
    if (field.kind === 'cards')
      return [...((this.values()[field.name] as readonly number[] | undefined) ?? []), value];
    return field.kind === 'numbers' ? [value] : value;
  }
}
