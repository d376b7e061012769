import { ValidationError, type AnyObject, type ObjectSchema } from 'yup';
import { expect, test } from 'vitest';
import { formFault } from '../../forms/formFault.ts';
import { hornCheckForm, mouthpieceForm, reedForm, remarkForm } from './gearForms.ts';

function faultOf(schema: ObjectSchema<AnyObject>, filled: unknown) {
  try {
    schema.validateSync(filled);
    return null;
  } catch (error) {
    return formFault((error as ValidationError).message);
  }
}

test.each([
  ['a reed of a kind', reedForm, { kind: 'cane, 3', name: '' }, null],
  ['a reed of no kind', reedForm, { kind: ' ', name: 'no. 1' }, 'reedKind'],
  ['a leak test without a word', hornCheckForm, { kind: 'leakTest', day: '2026-03-14', text: '' }, null],
  [
    'something else without a word',
    hornCheckForm,
    { kind: 'other', day: '2026-03-14', text: '' },
    'checkText',
  ],
  ['something else', hornCheckForm, { kind: 'other', day: '2026-03-14', text: 'new neck cork' }, null],
  ['a mouthpiece without a name', mouthpieceForm, { name: '' }, 'mouthpieceName'],
  ['a reed that plays well', remarkForm, { how: 'well', text: '' }, null],
] as const)('%s', (_, schema, filled, fault) => {
  expect(faultOf(schema, filled)).toBe(fault);
});
