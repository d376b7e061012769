import {
  HIGHEST_NOTE,
  hornById,
  LEAST_RANGE,
  soundingMidi,
  toWritten,
  TOP_KEYS,
  writtenMidi,
  type NoteRange,
} from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { playersHorn } from '../../addresses/index.ts';
import type { SettingsChange, SettingsRecord } from '../../storage/index.ts';
import { ActionButton, Choice, NoteField } from '../../ui/index.ts';

interface RangeFieldsProps {
  settings: SettingsRecord;
  onChange(change: SettingsChange): void;
}

/** The lowest and highest note the player works on, on this horn: every exercise stays inside. */
export function RangeFields({ settings, onChange }: RangeFieldsProps) {
  const { t } = useTranslation();
  const { hornId, ranges, naming } = settings;
  const horn = hornById(hornId);
  const { lowest, highest } = playersHorn(settings);
  const withRange = (stored: SettingsRecord, range: NoteRange | undefined) => ({
    ranges: { ...stored.ranges, [hornId]: range },
  });
  const field = (name: 'lowest' | 'highest', midi: number, min: number, max: number) => (
    <NoteField
      label={t(`case.${name}`)}
      midi={midi}
      min={min}
      max={max}
      naming={naming}
      fromSounding={(sounding) => toWritten(soundingMidi(sounding), horn)}
      onChange={(note) =>
        onChange((stored) => {
          const { lowest: low, highest: high } = playersHorn(stored);
          return withRange(stored, { lowest: low, highest: high, [name]: writtenMidi(note) });
        })
      }
    />
  );
  return (
    <>
      <Choice
        legend={t('case.topKey')}
        value={settings.topKeys[hornId] ?? horn.topKey}
        onChange={(key) => onChange({ topKeys: { ...settings.topKeys, [hornId]: key } })}
        options={TOP_KEYS.map((value) => ({ value, label: value.replace('#', '♯') }))}
      />
      {field('lowest', lowest, horn.lowest, highest - LEAST_RANGE)}
      {field('highest', highest, lowest + LEAST_RANGE, HIGHEST_NOTE)}
      {ranges[hornId] && (
        <ActionButton
          look="plain"
          alignSelf="flex-end"
          onClick={() => onChange((stored) => withRange(stored, undefined))}
        >
          {t('case.wholeRange')}
        </ActionButton>
      )}
    </>
  );
}
