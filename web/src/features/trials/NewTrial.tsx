import { chakra, Flex } from '@chakra-ui/react';
import { MOST_WORD } from '@inner-hum/core/exercise';
import { writtenMidi, type Horn } from '@inner-hum/core/horn';
import {
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  TRIAL_ATTACKS,
  TRIAL_MEASURES,
  TRIAL_TONES,
  type Question,
  usualAttacks,
} from '@inner-hum/core/trial';
import { useWatch } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { FormField, FormText, useSchemaForm } from '../../forms/index.ts';
import type { SettingsRecord, TrialRecord } from '../../storage/index.ts';
import { noteText } from '../../notation/index.ts';
import { ActionButton, Choice, Select } from '../../ui/index.ts';
import { trialForm, type TrialForm } from './trialForm.ts';

interface NewTrialProps {
  horn: Horn;
  settings: SettingsRecord;
  onFix(trial: Omit<TrialRecord, 'id' | 'deletedAt' | 'createdAt'>): void;
}

const PAIRS = [LEAST_PAIRS, 8, 10, 12, MOST_PAIRS];
const LOW_NOTE = 58;

const SIDES = ['a', 'b'] as const;
const ATTACK_OF = { a: 'attackA', b: 'attackB' } as const;
const CUE_OF = { a: 'cueA', b: 'cueB' } as const;

/** A question, two cues, what is played and what decides; fixed before the first note. */
export function NewTrial({ horn, settings, onFix }: NewTrialProps) {
  const { t } = useTranslation();
  const { control, handleSubmit, setValue } = useSchemaForm(trialForm, {
    question: 'tongue',
    cueA: '',
    cueB: '',
    tone: 'softStart',
    measure: 'responseMs',
    note: Math.max(horn.lowest, LOW_NOTE),
    attackA: usualAttacks('softStart').a,
    attackB: usualAttacks('softStart').b,
    pairs: 8,
  });
  const [question, tone, cueA, cueB] = useWatch({ control, name: ['question', 'tone', 'cueA', 'cueB'] });
  const cuesOf = (question: Question, a: string, b: string) =>
    question === 'own' ? { a, b } : { a: t(`trial.cueA.${question}`), b: t(`trial.cueB.${question}`) };
  const cues = cuesOf(question, cueA.trim(), cueB.trim());
  const setAttacks = ({ a, b }: ReturnType<typeof usualAttacks>) => {
    setValue('attackA', a);
    setValue('attackB', b);
  };
  const fix = ({ question, cueA, cueB, tone, measure, note, attackA, attackB, pairs }: TrialForm) =>
    onFix({
      hornId: horn.id,
      question,
      cues: cuesOf(question, cueA, cueB),
      attacks: { a: attackA, b: attackB },
      tone,
      writtenMidi: writtenMidi(note),
      measure,
      pairs,
    });
  return (
    <chakra.form mb="7" noValidate onSubmit={(event) => void handleSubmit(fix)(event)}>
      <Flex gap="5" wrap="wrap" alignItems="flex-start" mb="4">
        <Select
          label={t('trial.question')}
          value={question}
          onChange={(value) => {
            const chosen = QUESTIONS.find((each) => each === value) ?? 'own';
            setValue('question', chosen);
            setAttacks(chosen === 'lowStart' ? { a: 'tongued', b: 'breath' } : usualAttacks(tone));
            if (chosen === 'lowStart') setValue('measure', 'spokeAtOnce');
          }}
          plain={QUESTIONS.map((value) => ({ value, label: t(`trial.questions.${value}`) }))}
        />
        {question === 'own' &&
          SIDES.map((side) => (
            <FormText
              key={side}
              control={control}
              name={CUE_OF[side]}
              label={t(`trial.own.${side}`)}
              maxLength={MOST_WORD}
            />
          ))}
        <Select
          label={t('trial.tone')}
          value={tone}
          onChange={(value) => {
            const chosen = TRIAL_TONES.find((each) => each === value) ?? 'softStart';
            setValue('tone', chosen);
            if (question !== 'lowStart') setAttacks(usualAttacks(chosen));
          }}
          plain={TRIAL_TONES.map((value) => ({ value, label: t(`trial.tones.${value}`) }))}
        />
        {SIDES.map((side) => (
          <FormField key={side} control={control} name={ATTACK_OF[side]}>
            {({ value, onChange }) => (
              <Select
                // Names that are being typed must move nothing.
                label={
                  question === 'own' ? t(`trial.attackOf.${side}`) : t('trial.attack', { cue: cues[side] })
                }
                value={value}
                onChange={(name) => onChange(TRIAL_ATTACKS.find((each) => each === name) ?? 'any')}
                plain={TRIAL_ATTACKS.map((name) => ({ value: name, label: t(`attack.${name}`) }))}
              />
            )}
          </FormField>
        ))}
        <FormField control={control} name="note">
          {({ value, onChange }) => (
            <Select
              label={t('filter.note')}
              value={String(value)}
              onChange={(note) => onChange(Number(note))}
              plain={Array.from({ length: horn.highest - horn.lowest + 1 }, (_, i) => ({
                value: String(horn.lowest + i),
                label: noteText(horn.lowest + i, settings.naming),
              }))}
            />
          )}
        </FormField>
        <FormField control={control} name="measure">
          {({ value, onChange }) => (
            <Select
              label={t('trial.decides')}
              value={value}
              onChange={(name) => onChange(TRIAL_MEASURES.find((each) => each === name) ?? 'responseMs')}
              plain={TRIAL_MEASURES.map((name) => ({ value: name, label: t(`trial.measure.${name}`) }))}
            />
          )}
        </FormField>
        <FormField control={control} name="pairs">
          {({ value, onChange }) => (
            <Choice
              legend={t('trial.pairs')}
              value={String(value)}
              onChange={(count) => onChange(Number(count))}
              options={PAIRS.map((count) => ({ value: String(count), label: String(count) }))}
            />
          )}
        </FormField>
      </Flex>
      <ActionButton look="main" type="submit">
        {cues.a === '' || cues.b === '' ? t('trial.beginOwn') : t('trial.begin', cues)}
      </ActionButton>
    </chakra.form>
  );
}
