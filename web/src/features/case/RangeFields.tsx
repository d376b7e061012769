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
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionButton, Choice, NoteGlyph, NumberField } from '../../ui/index.ts';

interface RangeFieldsProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
}

/** The lowest and highest note the player works on, on this horn: every exercise stays inside. */
export function RangeFields({ settings, onChange }: RangeFieldsProps) {
  const { t } = useTranslation();
  const { hornId, ranges, naming } = settings;
  const horn = hornById(hornId);
  const { lowest, highest } = playersHorn(settings);
  const set = (range: NoteRange | undefined) => onChange({ ranges: { ...ranges, [hornId]: range } });
  const move = (name: 'lowest' | 'highest', by: 1 | -1) => {
    const next = { lowest, highest, [name]: writtenMidi((name === 'lowest' ? lowest : highest) + by) };
    const fits =
      next.lowest >= horn.lowest && next.highest <= HIGHEST_NOTE && next.highest - next.lowest >= LEAST_RANGE;
    if (fits) set(next);
  };
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
        value={settings.topKeys[hornId] ?? 'F#'}
        onChange={(key) => onChange({ topKeys: { ...settings.topKeys, [hornId]: key } })}
        options={TOP_KEYS.map((value) => ({ value, label: value.replace('#', '♯') }))}
      />
      {field('lowest', lowest)}
      {field('highest', highest)}
      {ranges[hornId] && (
        <ActionButton look="plain" alignSelf="flex-end" onClick={() => set(undefined)}>
          {t('case.wholeRange')}
        </ActionButton>
      )}
    </>
  );
}
