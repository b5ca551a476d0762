export {
  type By,
  byOf,
  type Condition,
  type Expression,
  type LaidPart,
  type Likely,
  MOST_ROUNDS,
  type Option,
  type Procedure,
  type Step,
  type StepKind,
  type StepOf,
} from './procedure';
