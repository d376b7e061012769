import {
  HIGHEST_NOTE,
  hornById,
  LEAST_RANGE,
  TOP_KEYS,
  writtenMidi,
  type NoteRange,
} from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { playersHorn } from '../../addresses/index.ts';
import type { SettingsChange, SettingsRecord } from '../../storage/index.ts';
import { NoteGlyph } from '../../notation/index.ts';
import { ActionButton, Choice, NumberField } from '../../ui/index.ts';

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
  /** From where it is by then: two quick presses are two steps. */
  const move = (name: 'lowest' | 'highest', by: 1 | -1) =>
    onChange((stored) => {
      const { lowest: low, highest: high } = playersHorn(stored);
      const next = { lowest: low, highest: high, [name]: writtenMidi((name === 'lowest' ? low : high) + by) };
      const fits =
        next.lowest >= horn.lowest &&
        next.highest <= HIGHEST_NOTE &&
        next.highest - next.lowest >= LEAST_RANGE;
      return fits ? withRange(stored, next) : {};
    });
  const field = (name: 'lowest' | 'highest', midi: number) => {
    const label = t(`case.${name}`);
    return (
      <NumberField
        label={label}
        less={t('option.less', { name: label })}
        more={t('option.more', { name: label })}
        onLess={() => move(name, -1)}
        onMore={() => move(name, 1)}
        shown={<NoteGlyph midi={midi} naming={naming} octave />}
      />
    );
  };
  return (
    <>
      <Choice
        legend={t('case.topKey')}
        value={settings.topKeys[hornId] ?? horn.topKey}
        onChange={(key) => onChange({ topKeys: { ...settings.topKeys, [hornId]: key } })}
        options={TOP_KEYS.map((value) => ({ value, label: value.replace('#', '♯') }))}
      />
      {field('lowest', lowest)}
      {field('highest', highest)}
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
