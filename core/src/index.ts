/** The public face. Each folder's index.ts lists its names; a room of the application imports the folders that it needs. */
export * from './deck/index';
export * from './job/index';
export * from './form/index';
export * from './moves/index';
export * from './odds/index';
export * from './procedure/index';
export * from './reckon/index';
export * from './reckon/facts/index';
export * from './reckon/patterns/index';
export * from './arrange/index';
export * from './formats/index';
export * from './learn/index';
export * from './weave/index';
export * from './rehearse/index';
export * from './wish/index';
export * from './perform/index';
export * from './record/index';
export { JOBS } from './jobs';
