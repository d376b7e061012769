import { Flex } from '@chakra-ui/react';
import { ATTACKS, MOST_BEATS, VIBRATOS, withLength, type ExerciseItem } from '@inner-hum/core/exercise';
import { HIGHEST_NOTE, writtenMidi, type Horn, type NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { NoteGlyph } from '../../notation/index.ts';
import { Choice, NumberField, typedNote } from '../../ui/index.ts';
import { FingeredField } from './FingeredField.tsx';
import { nextLength } from './newItem.ts';
import { NoteShape } from './NoteShape.tsx';
import { OctaveButtons } from './OctaveButtons.tsx';

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
        <Flex alignItems="flex-end" gap="4">
          <NumberField
            label={t('option.note')}
            less={t('swell.noteDown')}
            more={t('swell.noteUp')}
            onLess={() => move(-1)}
            onMore={() => move(1)}
            shown={<NoteGlyph midi={item.writtenMidi + shift} naming={naming} octave />}
            typed={typedNote(item.writtenMidi + shift, naming, (midi) => {
              move(midi - shift - item.writtenMidi);
              return true;
            })}
          />
          <OctaveButtons onMove={move} />
        </Flex>
      )}
      <NumberField
        label={t('builder.length')}
        less={t('swell.fewerBeats')}
        more={t('swell.moreBeats')}
        onLess={() => onChange(withLength(item, nextLength(item.lengthBeats, -1, MOST_BEATS)))}
        onMore={() => onChange(withLength(item, nextLength(item.lengthBeats, 1, MOST_BEATS)))}
        shown={item.lengthBeats}
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
