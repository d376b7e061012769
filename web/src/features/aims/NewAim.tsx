import { Box, Flex } from '@chakra-ui/react';
import { writtenMidi, type Horn } from '@inner-hum/core/horn';
import { FIGURES } from '@inner-hum/core/figures';
import { TREND_MEASURES, ZONES, type TrendMeasure } from '@inner-hum/core/practice';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_AIM_TEXT, type AimRecord, type SettingsRecord } from '../../storage/index.ts';
import { measureText, noteText } from '../../notation/index.ts';
import { ActionButton, DateField, NumberField, Select, TextField } from '../../ui/index.ts';

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

/** An aim in one's own words, and the measure that tells when it is reached. */
export function NewAim({ horn, settings, onAdd }: NewAimProps) {
  const { t } = useTranslation();
  const [text, setText] = useState('');
  const [measure, setMeasure] = useState<TrendMeasure>('responseMs');
  const [place, setPlace] = useState('zone:low');
  const [target, setTarget] = useState(FIGURES.responseMs.goal.target);
  const [byDay, setByDay] = useState('');
  const { wants } = FIGURES[measure].goal;
  const choose = (next: TrendMeasure) => {
    setMeasure(next);
    setTarget(FIGURES[next].goal.target);
  };
  const [kind, value] = place.split(':');
  const step = stepOf(FIGURES[measure].goal.target);
  return (
    <Box as="section" mb="6">
      <Flex gap="5" wrap="wrap" alignItems="flex-end" mb="3">
        <Select
          label={t('aim.ready')}
          value=""
          onChange={(name) => {
            const ready = READY.find((each) => each.name === name);
            if (!ready) return;
            choose(ready.measure);
            setPlace(ready.place);
            setText(t(`aim.readyText.${ready.name}`));
          }}
          plain={[
            { value: '', label: t('aim.ownWords') },
            ...READY.map(({ name }) => ({ value: name, label: t(`aim.readyText.${name}`) })),
          ]}
        />
        <TextField key={text} label={t('aim.text')} value={text} maxLength={MOST_AIM_TEXT} onDone={setText} />
      </Flex>
      <Flex gap="5" wrap="wrap" alignItems="flex-end" mb="4">
        <Select
          label={t('trend.what')}
          value={measure}
          onChange={(name) => choose(TREND_MEASURES.find((each) => each === name) ?? 'asWrittenPercent')}
          plain={TREND_MEASURES.map((name) => ({ value: name, label: t(`trend.measure.${name}`) }))}
        />
        <Select
          label={t('trend.zone')}
          value={place}
          onChange={setPlace}
          plain={[
            { value: '', label: t('trend.anywhere') },
            ...ZONES.map((zone) => ({ value: `zone:${zone}`, label: t(`today.zone.${zone}`) })),
            ...Array.from({ length: horn.highest - horn.lowest + 1 }, (_, i) => ({
              value: `note:${horn.lowest + i}`,
              label: noteText(horn.lowest + i, settings.naming),
            })),
          ]}
        />
        <NumberField
          label={t(wants === 'less' ? 'aim.atMost' : 'aim.atLeast')}
          less={t('aim.lower')}
          more={t('aim.higher')}
          value={target}
          min={-LARGEST_TARGET}
          max={LARGEST_TARGET}
          step={step}
          digits={step < 1 ? 2 : 0}
          unit={unitOf(measureText(target, measure, t))}
          onChange={setTarget}
        />
        <DateField label={t('aim.by')} value={byDay} onChange={setByDay} />
        <ActionButton
          disabled={text === ''}
          onClick={() => {
            onAdd({
              text,
              byDay: byDay === '' ? null : byDay,
              goal: {
                measure,
                target,
                wants,
                scope: {
                  midi: kind === 'note' ? writtenMidi(Number(value)) : null,
                  zone: kind === 'zone' ? (ZONES.find((zone) => zone === value) ?? null) : null,
                  family: null,
                },
              },
            });
            setText('');
          }}
        >
          {t('aim.add')}
        </ActionButton>
      </Flex>
    </Box>
  );
}
