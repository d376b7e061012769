import { Box, Flex } from '@chakra-ui/react';
import { SWELL_SHAPES, type Exercise, type SwellRequest } from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { HairpinIcon, NoteGlyph } from '../../notation/index.ts';
import { Choice, nextTempo, NumberField } from '../../ui/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { type VisitPhase } from '../../session/index.ts';
import { StartLine } from './StartLine.tsx';

interface SwellControlsProps {
  request: SwellRequest;
  exercise: Exercise;
  settings: SettingsRecord;
  phase: VisitPhase;
  /** Calibration was never made here: it is offered, quietly. */
  offerCalibration: boolean;
  onChange(change: Partial<SwellRequest>): void;
  onPrimary(): void;
}

/** What to play: note, shape, beats, tempo and how it starts. All of it can be left as it is. */
export function SwellControls({
  request,
  exercise,
  settings,
  phase,
  offerCalibration,
  onChange,
  onPrimary,
}: SwellControlsProps) {
  const { t } = useTranslation();
  const horn = hornById(settings.hornId);
  const step = (by: number) =>
    onChange({ note: writtenMidi(Math.max(horn.lowest, Math.min(horn.highest, request.note + by))) });
  return (
    <Box>
      <StartLine
        exercise={exercise}
        settings={settings}
        phase={phase}
        offerCalibration={offerCalibration}
        onPrimary={onPrimary}
      />
      <Flex columnGap={{ base: '5', md: '7' }} rowGap="3" wrap="wrap" alignItems="flex-start">
        <NumberField
          label={t('swell.note')}
          less={t('swell.noteDown')}
          more={t('swell.noteUp')}
          onLess={() => step(-1)}
          onMore={() => step(1)}
          shown={<NoteGlyph midi={request.note} naming={settings.naming} octave />}
        />
        <Choice
          legend={t('swell.shape')}
          value={request.shape}
          onChange={(shape) => onChange({ shape })}
          options={SWELL_SHAPES.map((value) => ({
            value,
            name: t(`shape.${value}`),
            label: <HairpinIcon shape={value} />,
          }))}
        />
        <NumberField
          label={t('swell.beats')}
          less={t('swell.fewerBeats')}
          more={t('swell.moreBeats')}
          onLess={() => onChange({ beats: Math.max(2, request.beats - 2) })}
          onMore={() => onChange({ beats: Math.min(32, request.beats + 2) })}
          shown={String(request.beats)}
        />
        <NumberField
          label={t('free.tempo')}
          less={t('free.slower')}
          more={t('free.faster')}
          onLess={() => onChange({ tempoBpm: nextTempo(request.tempoBpm, -1) })}
          onMore={() => onChange({ tempoBpm: nextTempo(request.tempoBpm, 1) })}
          shown={String(request.tempoBpm)}
        />
        <Choice
          legend={t('swell.start')}
          value={request.start}
          onChange={(start) => onChange({ start })}
          options={(['playToStart', 'countIn'] as const).map((value) => ({
            value,
            label: t(`start.${value}`),
          }))}
        />
      </Flex>
    </Box>
  );
}
