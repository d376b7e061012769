import { Box, Flex } from '@chakra-ui/react';
import { notesOf, scoreOf, type Exercise, type Family, type FamilyRequest } from '@inner-hum/core/exercise';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import type { TempoProposal } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import type { SessionPhase } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { Choice, NoteGlyph, NumberField } from '../../ui/index.ts';
import { BudgetLine } from './BudgetLine.tsx';
import { StartLine } from './StartLine.tsx';
import { nextTempo } from './transport.ts';

interface DrillControlsProps {
  family: Family;
  request: FamilyRequest;
  exercise: Exercise;
  settings: SettingsRecord;
  phase: SessionPhase;
  paused: boolean;
  budget: TempoProposal | null;
  offerCalibration: boolean;
  onChange(change: Partial<FamilyRequest>): void;
  onPrimary(): void;
}

/** What to play of a family: where on the horn, how fast, how it starts. All of it can be left as it is. */
export function DrillControls(props: DrillControlsProps) {
  const {
    family,
    request,
    exercise,
    settings,
    phase,
    paused,
    budget,
    offerCalibration,
    onChange,
    onPrimary,
  } = props;
  const { t } = useTranslation();
  const [lowest, highest] = family.bases(hornById(settings.hornId));
  const inside = (midi: number) => writtenMidi(Math.max(lowest, Math.min(highest, midi)));
  const { note, to } = request;
  const first = notesOf(scoreOf(exercise))[0].item;
  const name = (midi: number) => <NoteGlyph midi={midi} naming={settings.naming} octave />;
  const [slowest, fastest] = exercise.tempoRangeBpm ?? [0, Infinity];
  const setTempo = (step: 1 | -1) =>
    onChange({ tempoBpm: Math.max(slowest, Math.min(fastest, nextTempo(exercise.tempoBpm, step))) });
  return (
    <Box>
      <Flex columnGap="7" wrap="wrap" alignItems="flex-start">
        <StartLine
          start={exercise.start}
          note={first.writtenMidi}
          settings={settings}
          phase={phase}
          paused={paused}
          offerCalibration={offerCalibration}
          onPrimary={onPrimary}
        />
        <BudgetLine exercise={exercise} budget={budget} onTake={(tempoBpm) => onChange({ tempoBpm })} />
      </Flex>
      <Flex columnGap={{ base: '5', md: '7' }} rowGap="3" wrap="wrap" alignItems="flex-start">
        {family.moves !== 'nothing' && (
          <NumberField
            label={t(family.moves === 'range' ? 'drill.from' : 'drill.base')}
            less={t('drill.fromDown')}
            more={t('drill.fromUp')}
            onLess={() => onChange({ note: inside(note - 1) })}
            onMore={() => onChange({ note: inside(note + 1) })}
            shown={name(note)}
          />
        )}
        {family.moves === 'range' && (
          <NumberField
            label={t('drill.to')}
            less={t('drill.toDown')}
            more={t('drill.toUp')}
            onLess={() => onChange({ to: inside(to - 1) })}
            onMore={() => onChange({ to: inside(to + 1) })}
            shown={name(to)}
          />
        )}
        <NumberField
          label={t('free.tempo')}
          less={t('free.slower')}
          more={t('free.faster')}
          onLess={() => setTempo(-1)}
          onMore={() => setTempo(1)}
          shown={String(exercise.tempoBpm)}
        />
        <Choice
          legend={t('swell.start')}
          value={exercise.start}
          onChange={(start) => onChange({ start })}
          options={(['playToStart', 'countIn'] as const).map((value) => ({
            value,
            label: t(`start.${value}`),
          }))}
        />
        <Box flex="1" minW="column" color="muted" fontSize="medium" pt="4">
          {t(`familyPurpose.${family.id}`)}
        </Box>
      </Flex>
    </Box>
  );
}
