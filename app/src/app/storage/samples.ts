import { InjectionToken } from '@angular/core';
import { Kind } from './kind';

/** Rows of one kind that belong to the demo world. */
export interface Sample {
  readonly kind: Kind;
  readonly rows: readonly unknown[];
}
export type Samples = readonly Sample[];

export const sampleOf = <Row>(kind: Kind<Row>, rows: readonly Row[]): Sample => ({
  kind: kind,
  rows,
});

/** What one room has of the demo world. */
export interface RoomSamples {
  /** The room's address: what was laid out once does not come back by itself. */
  readonly path: string;
  samples?(): Promise<Samples>;
}

/** The rooms whose samples are laid out on the first visit. */
export const ROOM_SAMPLES = new InjectionToken<readonly RoomSamples[]>('the samples of each room', {
  providedIn: 'root',
  factory: () => [],
});
