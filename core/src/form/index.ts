export {
  completeValues,
  type Field,
  type FieldValue,
  type Form,
  lackingField,
  sayValues,
  valueOf,
  type Values,
} from './field';
