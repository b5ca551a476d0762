import { Injectable, signal } from '@angular/core';
import { Card } from '@enumeron/core';

/** An order that the rail shows in the pack's place while it is being made, and what it is. */
export interface Preview {
  readonly home: readonly Card[];
  readonly now: readonly Card[];
  readonly label: string;
}

/** What a room shows on the rail instead of the pack. The pack stays as it lies. */
@Injectable({ providedIn: 'root' })
export class RailPreview {
  private readonly shown = signal<Preview | undefined>(undefined);
  readonly preview = this.shown.asReadonly();

  show(preview: Preview | undefined): void {
    this.shown.set(preview);
  }
}
