import { choiceField, quantityField } from '../frame/field';

/** What every question about a relief valve begins with. */
export const setAndCode = {
  setPressure: quantityField('gauge pressure', { label: 'Set pressure', example: '250 psig' }),
  code: choiceField(
    ['VIII', 'I'],
    { label: 'Code section' },
    { XIII: 'VIII', '8': 'VIII', '1': 'I', 'section viii': 'VIII', 'section i': 'I' },
  ),
};
