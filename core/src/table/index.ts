export { enumerate } from './enumerate';
export { compile, type Program } from './program';
export { type Quantity, type Sight, type Start, type Step } from './step';
