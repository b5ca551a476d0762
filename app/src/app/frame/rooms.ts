/** A room that exists, the key that opens it (its number among the seven) and its address. */
export interface Room {
  readonly name: string;
  readonly key: string;
  readonly path: string;
}

export const ROOMS: readonly Room[] = [
  { name: 'Arrange', key: '1', path: 'arrange' },
  { name: 'Reckon', key: '3', path: 'reckon' },
];
