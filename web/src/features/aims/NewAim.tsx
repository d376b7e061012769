import { chakra, Flex } from '@chakra-ui/react';
import { writtenMidi, type Horn } from '@inner-hum/core/horn';
import { FIGURES } from '@inner-hum/core/figures';
import { TREND_MEASURES, ZONES, type TrendMeasure } from '@inner-hum/core/practice';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { FormField, FormText, useSchemaForm } from '../../forms/index.ts';
import { dayOf, MOST_AIM_TEXT, type AimRecord, type SettingsRecord } from '../../storage/index.ts';
import { measureText, noteText } from '../../notation/index.ts';
import { ActionButton, DateField, NumberField, Select } from '../../ui/index.ts';
import { aimForm, type AimForm } from './aimForm.ts';

export type AimDraft = Pick<AimRecord, 'text' | 'goal' | 'byDay'>;

interface NewAimProps {
  horn: Horn;
  settings: SettingsRecord;
  onAdd(aim: AimDraft): void;
}

/** Aims that many have, ready to be taken. */
const READY = [
  { name: 'softLow', measure: 'responseMs', place: 'zone:low' },
  { name: 'longMiddle', measure: 'holdSeconds', place: 'zone:middle' },
  { name: 'softPitch', measure: 'softEndCents', place: '' },
  { name: 'evenSwell', measure: 'swellErrorDb', place: '' },
  { name: 'firstInstant', measure: 'landingCents', place: '' },
] as const;

const LARGEST_TARGET = 100_000;

/** What a figure is counted in: its text without its number. */
const unitOf = (text: string) => text.replace(/[-−+]?[\d.,\s]+/, '').trim();

/** A tenth of the target is a step, in round figures. */
const stepOf = (target: number) => {
  const rough = Math.abs(target) / 10;
  const power = 10 ** Math.floor(Math.log10(Math.max(rough, 1e-3)));
  return [1, 2, 5].map((factor) => factor * power).findLast((step) => step <= rough) ?? power;
};

const NEW_AIM: AimForm = {
  text: '',
  measure: 'responseMs',
  place: 'zone:low',
  target: FIGURES.responseMs.goal.target,
  byDay: '',
};

/** An aim in one's own words, and the measure that tells when it is reached. */
export function NewAim({ horn, settings, onAdd }: NewAimProps) {
  const { t } = useTranslation();
  const [today] = useState(() => dayOf(Date.now()));
  const { control, handleSubmit, setValue, resetField } = useSchemaForm(aimForm(today), NEW_AIM);
  const [measure, target] = useWatch({ control, name: ['measure', 'target'] });
  const { wants } = FIGURES[measure].goal;
  const choose = (next: TrendMeasure) => {
    setValue('measure', next);
    setValue('target', FIGURES[next].goal.target);
  };
  const add = ({ text, measure, place, target, byDay }: AimForm) => {
    const [kind, value] = place.split(':');
    onAdd({
      text,
      byDay: byDay === '' ? null : byDay,
      goal: {
        measure,
        target,
        wants: FIGURES[measure].goal.wants,
        scope: {
          midi: kind === 'note' ? writtenMidi(Number(value)) : null,
          zone: kind === 'zone' ? (ZONES.find((zone) => zone === value) ?? null) : null,
          family: null,
        },
      },
    });
    resetField('text');
  };
  const step = stepOf(FIGURES[measure].goal.target);
  return (
    <chakra.form mb="6" noValidate onSubmit={(event) => void handleSubmit(add)(event)}>
      <Flex gap="5" wrap="wrap" alignItems="flex-start" mb="3">
        <Select
          label={t('aim.ready')}
          value=""
          onChange={(name) => {
            const ready = READY.find((each) => each.name === name);
            if (!ready) return;
            choose(ready.measure);
            setValue('place', ready.place);
            setValue('text', t(`aim.readyText.${ready.name}`), { shouldValidate: true });
          }}
          plain={[
            { value: '', label: t('aim.ownWords') },
            ...READY.map(({ name }) => ({ value: name, label: t(`aim.readyText.${name}`) })),
          ]}
        />
        <FormText control={control} name="text" label={t('aim.text')} maxLength={MOST_AIM_TEXT} />
      </Flex>
      <Flex gap="5" wrap="wrap" alignItems="flex-start" mb="4">
        <Select
          label={t('trend.what')}
          value={measure}
          onChange={(name) => choose(TREND_MEASURES.find((each) => each === name) ?? 'asWrittenPercent')}
          plain={TREND_MEASURES.map((name) => ({ value: name, label: t(`trend.measure.${name}`) }))}
        />
        <FormField control={control} name="place">
          {({ value, onChange }) => (
            <Select
              label={t('trend.zone')}
              value={value}
              onChange={onChange}
              plain={[
                { value: '', label: t('trend.anywhere') },
                ...ZONES.map((zone) => ({ value: `zone:${zone}`, label: t(`today.zone.${zone}`) })),
                ...Array.from({ length: horn.highest - horn.lowest + 1 }, (_, i) => ({
                  value: `note:${horn.lowest + i}`,
                  label: noteText(horn.lowest + i, settings.naming),
                })),
              ]}
            />
          )}
        </FormField>
        <FormField control={control} name="target">
          {({ value, onChange }) => (
            <NumberField
              label={t(wants === 'less' ? 'aim.atMost' : 'aim.atLeast')}
              less={t('aim.lower')}
              more={t('aim.higher')}
              value={value}
              min={-LARGEST_TARGET}
              max={LARGEST_TARGET}
              step={step}
              digits={step < 1 ? 2 : 0}
              unit={unitOf(measureText(target, measure, t))}
              onChange={onChange}
            />
          )}
        </FormField>
        <FormField control={control} name="byDay">
          {({ value, onChange }) => (
            <DateField label={t('aim.by')} value={value} mayBeEmpty onChange={onChange} />
          )}
        </FormField>
        <ActionButton type="submit" mt="5">
          {t('aim.add')}
        </ActionButton>
      </Flex>
    </chakra.form>
  );
}
