/** The fields that a working is asked by: each a schema that reads what is typed, with what a form says of it. */
export { fieldMeta, type Column, type FieldKind, type FieldMeta } from './field-meta';
export {
  amountField,
  amountsField,
  eitherField,
  factorField,
  quantitiesField,
  quantityField,
} from './fields/quantities';
export {
  choiceField,
  choicesField,
  dateField,
  numberField,
  orificeField,
  sizeField,
  threadField,
  wordField,
  yesNoField,
} from './fields/words';
export { anglesField, arcsField, rowsField } from './fields/tables';
export { pictureField, recordingField } from './fields/files';
export { recordField } from './fields/records';
