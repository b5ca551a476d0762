import { DestroyRef, effect, inject, Injectable, signal } from '@angular/core';
import { Card } from '@enumeron/core/deck';

/** What a slot of the rail shows while it is open what lies there. */
export interface GuessedSlot {
  /** The likeliest card, or the one that is looked for. */
  readonly card: Card;
  /** From 0 to 1: how strongly it is shown. */
  readonly chance: number;
  /** What stands below the card: how many cards it may be, or how likely it is the one looked for. */
  readonly below: string;
  readonly label: string;
}

/** What the rail shows in the pack's place: what may lie at each place. */
export interface RailGuesses {
  /** The card that is looked for, or undefined when each slot shows its likeliest card. */
  readonly about: Card | undefined;
  readonly slots: readonly GuessedSlot[];
}

/** What a room shows on the rail instead of the pack while it is open how the pack lies. */
@Injectable({ providedIn: 'root' })
export class RailGuess {
  private readonly shown = signal<RailGuesses | undefined>(undefined);
  readonly guesses = this.shown.asReadonly();

  show(guesses: RailGuesses | undefined): void {
    this.shown.set(guesses);
  }
}

/**
 * Shows guesses on the rail for as long as a component is there. Call it in the component's constructor.
 *
 * @param made what to show, or undefined for the pack itself; read again whenever a signal in it changes.
 */
export const guessOnRail = (made: () => RailGuesses | undefined): void => {
  const rail = inject(RailGuess);
  effect(() => rail.show(made()));
  inject(DestroyRef).onDestroy(() => rail.show(undefined));
};
