import { Box, Flex } from '@chakra-ui/react';
import { writtenMidi } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../../storage/index.ts';
import { Choice, NoteField, NumberField } from '../../ui/index.ts';

interface EarsPanelProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
}

const SILENT = {
  never: null,
  oneOne: { sounding: 1, silent: 1 },
  twoTwo: { sounding: 2, silent: 2 },
  threeOne: { sounding: 3, silent: 1 },
} as const;
const SILENT_NAMES = ['never', 'threeOne', 'twoTwo', 'oneOne'] as const;
const MOST_BEATS = 12;
const MOST_CLICKS = 4;
const [LOWEST, HIGHEST] = [46, 90];
/** Where a drone of its own begins. */
const FIRST_DRONE = writtenMidi(67);

/** What the ear leans on: the beat with its parts and silent bars, and the drone. */
export function EarsPanel({ settings, onChange }: EarsPanelProps) {
  const { t } = useTranslation();
  const { drone, beatsPerBar, subdivision, accent, felt, silentBars, naming } = settings;
  const silent =
    SILENT_NAMES.find((name) => JSON.stringify(SILENT[name]) === JSON.stringify(silentBars)) ?? 'never';
  const setDrone = (change: Partial<typeof drone>) => onChange({ drone: { ...drone, ...change } });
  // One step under the lowest note stands "the note played".
  const setNote = (midi: number) => setDrone({ midi: midi < LOWEST ? null : midi });
  return (
    <Box as="details" mt="5">
      <Box as="summary" minH="touch" display="list-item" pt="2" cursor="pointer" fontSize="medium">
        {t('ears.more')}
      </Box>
      <Flex columnGap="7" rowGap="4" wrap="wrap" alignItems="flex-start" mt="2">
        <NumberField
          label={t('ears.beatsPerBar')}
          less={t('ears.fewerBeats')}
          more={t('ears.moreBeats')}
          value={beatsPerBar}
          min={1}
          max={MOST_BEATS}
          onChange={(beats) => onChange({ beatsPerBar: beats })}
        />
        <NumberField
          label={t('ears.subdivision')}
          less={t('ears.fewer')}
          more={t('ears.moreClicks')}
          value={subdivision}
          min={1}
          max={MOST_CLICKS}
          onChange={(clicks) => onChange({ subdivision: clicks })}
        />
        <Choice
          legend={t('ears.accent')}
          value={accent ? 'louder' : 'alike'}
          onChange={(value) => onChange({ accent: value === 'louder' })}
          options={(['louder', 'alike'] as const).map((value) => ({ value, label: t(`ears.${value}`) }))}
        />
        <Choice
          legend={t('ears.silent')}
          value={silent}
          onChange={(value) => onChange({ silentBars: SILENT[value] })}
          options={SILENT_NAMES.map((value) => ({ value, label: t(`ears.${value}`) }))}
        />
        {'vibrate' in navigator && (
          <Choice
            legend={t('ears.felt')}
            value={felt ? 'feltOn' : 'feltOff'}
            onChange={(value) => onChange({ felt: value === 'feltOn' })}
            options={(['feltOff', 'feltOn'] as const).map((value) => ({ value, label: t(`ears.${value}`) }))}
          />
        )}
      </Flex>
      <Flex columnGap="7" rowGap="4" wrap="wrap" alignItems="flex-start" mt="4">
        <NoteField
          label={t('ears.note')}
          less={t('ears.noteDown')}
          more={t('ears.noteUp')}
          midi={drone.midi ?? LOWEST - 1}
          min={LOWEST - 1}
          max={HIGHEST}
          naming={naming}
          none={drone.midi === null ? t('ears.played') : undefined}
          onChange={(midi) => setNote(drone.midi === null ? FIRST_DRONE : midi)}
        />
        <Choice
          legend={t('ears.tuning')}
          value={drone.tuning}
          onChange={(tuning) => setDrone({ tuning })}
          options={(['tempered', 'pure'] as const).map((value) => ({ value, label: t(`ears.${value}`) }))}
        />
        <Choice
          legend={t('ears.timbre')}
          value={drone.timbre}
          onChange={(timbre) => setDrone({ timbre })}
          options={(['flute', 'reed', 'fifth'] as const).map((value) => ({
            value,
            label: t(`ears.${value}`),
          }))}
        />
      </Flex>
      <Box color="muted" mt="3">
        {t('ears.headphones')} {felt && t('ears.feltHow')}
      </Box>
    </Box>
  );
}
