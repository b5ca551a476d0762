/** The public face. Each folder's index.ts lists its names; a room of the application imports the folders that it needs. */
export * from './deck';
export * from './moves';
export * from './table';
export * from './reckon';
export * from './reckon/facts';
export * from './reckon/patterns';
export * from './arrange';
export * from './formats';
