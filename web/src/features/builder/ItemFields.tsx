import { Flex } from '@chakra-ui/react';
import { ATTACKS, MOST_BEATS, VIBRATOS, withLength, type ExerciseItem } from '@inner-hum/core/exercise';
import {
  HIGHEST_NOTE,
  soundingMidi,
  toWritten,
  writtenMidi,
  type Horn,
  type NoteNaming,
} from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { Choice, NoteField, NumberField } from '../../ui/index.ts';
import { FingeredField } from './FingeredField.tsx';
import { nextLength } from './newItem.ts';
import { NoteShape } from './NoteShape.tsx';

interface ItemFieldsProps {
  item: ExerciseItem;
  isFirst: boolean;
  shift: number;
  horn: Horn;
  naming: NoteNaming;
  onChange(item: ExerciseItem): void;
}

/** The lowest note the language has. */
const LOWEST_NOTE = 40;
const LEAST_LENGTH = 0.25;

/** Everything that can be said of one item. */
export function ItemFields({ item, isFirst, shift, horn, naming, onChange }: ItemFieldsProps) {
  const { t } = useTranslation();
  const move = (by: number) => {
    if (!('writtenMidi' in item)) return;
    const midi = Math.max(LOWEST_NOTE, Math.min(HIGHEST_NOTE, item.writtenMidi + by));
    onChange({ ...item, writtenMidi: writtenMidi(midi), ...(item.kind === 'note' && { fingered: null }) });
  };
  return (
    <Flex columnGap={{ base: '5', md: '6' }} rowGap="4" wrap="wrap" alignItems="flex-start">
      {'writtenMidi' in item && (
        <NoteField
          label={t('option.note')}
          less={t('swell.noteDown')}
          more={t('swell.noteUp')}
          midi={item.writtenMidi + shift}
          min={LOWEST_NOTE + shift}
          max={HIGHEST_NOTE + shift}
          naming={naming}
          fromSounding={(sounding) => toWritten(soundingMidi(sounding), horn)}
          onChange={(midi) => move(midi - shift - item.writtenMidi)}
        />
      )}
      <NumberField
        label={t('builder.length')}
        less={t('swell.fewerBeats')}
        more={t('swell.moreBeats')}
        value={item.lengthBeats}
        min={LEAST_LENGTH}
        max={MOST_BEATS}
        digits={2}
        next={(beats, by) => nextLength(beats, by, MOST_BEATS)}
        onChange={(beats) => onChange(withLength(item, beats))}
      />
      {item.kind === 'note' && (
        <>
          <NoteShape note={item} onChange={onChange} />
          <Choice
            legend={t('builder.attack')}
            value={item.attack}
            onChange={(attack) => onChange({ ...item, attack })}
            options={ATTACKS.filter((attack) => !isFirst || attack !== 'slurred').map((value) => ({
              value,
              label: t(`attack.${value}`),
            }))}
          />
          <Choice
            legend={t('builder.held')}
            value={item.open ? 'open' : 'written'}
            onChange={(value) => onChange({ ...item, open: value === 'open' })}
            options={(['written', 'open'] as const).map((value) => ({ value, label: t(`held.${value}`) }))}
          />
          <Choice
            legend={t('builder.tone')}
            value={item.tone ?? 'full'}
            onChange={(tone) => {
              const { tone: _tone, ...fully } = item;
              onChange(tone === 'full' ? fully : { ...fully, tone });
            }}
            options={(['full', 'subtone'] as const).map((value) => ({ value, label: t(`tone.${value}`) }))}
          />
          <Choice
            legend={t('builder.vibrato')}
            value={item.vibrato ?? 'free'}
            onChange={(vibrato) => {
              const { vibrato: _vibrato, ...freely } = item;
              onChange(vibrato === 'free' ? freely : { ...freely, vibrato });
            }}
            options={(['free', ...VIBRATOS] as const).map((value) => ({
              value,
              label: value === 'free' ? t('builder.vibratoFree') : t(`vibrato.${value}`),
            }))}
          />
          {shift === 0 && <FingeredField note={item} horn={horn} naming={naming} onChange={onChange} />}
        </>
      )}
      {item.kind === 'rest' && (
        <Choice
          legend={t('builder.restBreath')}
          value={item.breath}
          onChange={(breath) => onChange({ ...item, breath })}
          options={(['free', 'none'] as const).map((value) => ({ value, label: t(`restBreath.${value}`) }))}
        />
      )}
    </Flex>
  );
}
