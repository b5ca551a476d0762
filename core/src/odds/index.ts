export { adjacentMatesChance } from './adjacentMates';
export { type Estimate } from './interval';
export { riffleDistance } from './riffleDistance';
