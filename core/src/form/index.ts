export {
  completeValues,
  type Field,
  type FieldValue,
  type Form,
  lackingField,
  sayValue,
  sayValues,
  valueOf,
  type Values,
} from './field';
export { readValues, writeValues } from './valuesText';
