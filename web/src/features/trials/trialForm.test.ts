import { ValidationError } from 'yup';
import { expect, test } from 'vitest';
import { formFault } from '../../forms/formFault.ts';
import { trialForm } from './trialForm.ts';

const TRIAL = {
  question: 'own',
  cueA: 'think high',
  cueB: 'think far',
  tone: 'softStart',
  measure: 'responseMs',
  note: 58,
  attackA: 'any',
  attackB: 'breath',
  pairs: 8,
};

/** Which fields of a filled-in trial are wrong, and how. */
function faultsOf(change: Record<string, unknown>) {
  try {
    trialForm.validateSync({ ...TRIAL, ...change }, { abortEarly: false });
    return {};
  } catch (error) {
    const { inner } = error as ValidationError;
    return Object.fromEntries(inner.map(({ path, message }) => [path, formFault(message)]));
  }
}

test.each([
  ['two ways of one’s own', {}, {}],
  ['ready ways need no words', { question: 'tongue', cueA: '', cueB: '' }, {}],
  ['the first way has no words', { cueA: ' ' }, { cueA: 'cue' }],
  ['the other way has no words', { cueB: '' }, { cueB: 'cue' }],
  ['both ways are the same but for their letters', { cueB: ' Think High' }, { cueB: 'cuesAlike' }],
] as const)('a trial: %s', (_, change, faults) => {
  expect(faultsOf(change)).toEqual(faults);
});

test('neither fewer pairs than tell anything nor more than one plays', () => {
  expect(Object.keys(faultsOf({ pairs: 1 }))).toEqual(['pairs']);
  expect(Object.keys(faultsOf({ pairs: 200 }))).toEqual(['pairs']);
});
