import { ValidationError } from 'yup';
import { expect, test } from 'vitest';
import { formFault } from '../../forms/formFault.ts';
import { aimForm } from './aimForm.ts';

const TODAY = '2026-03-14';
const AIM = { text: 'Soft low notes', measure: 'responseMs', place: 'zone:low', target: 60, byDay: '' };

/** The first fault of a filled-in aim; null where there is none. */
function faultOf(change: Record<string, unknown>) {
  try {
    aimForm(TODAY).validateSync({ ...AIM, ...change });
    return null;
  } catch (error) {
    return formFault((error as ValidationError).message);
  }
}

test.each([
  ['as it is', {}, null],
  ['by today', { byDay: TODAY }, null],
  ['by a day that has passed', { byDay: '2026-03-13' }, 'dayPassed'],
  ['without words', { text: '' }, 'aimText'],
  ['of spaces only', { text: '   ' }, 'aimText'],
  ['with a target that is no number', { target: 'soon' }, 'targetNumber'],
  ['without a target', { target: null }, 'targetNumber'],
] as const)('an aim %s', (_, change, fault) => {
  expect(faultOf(change)).toBe(fault);
});

test('words are kept without the spaces around them', () => {
  expect(aimForm(TODAY).validateSync({ ...AIM, text: '  Even swells ' }).text).toBe('Even swells');
});
