import { Flex } from '@chakra-ui/react';
import { PACES, type Exercise } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { Choice, NumberField, TempoField } from '../../ui/index.ts';

interface ExerciseFieldsProps {
  exercise: Exercise;
  onChange(exercise: Exercise): void;
}

const SLOWEST = 20;
const FASTEST = 300;
const MOST_BEATS_PER_BAR = 12;
const USUAL_REST_BEATS = 8;

/** What holds for the whole exercise: tempo, bar, how it starts, how one rests, what a fault does. */
export function ExerciseFields({ exercise, onChange }: ExerciseFieldsProps) {
  const { t } = useTranslation();
  const { tempoBpm, tempoRangeBpm, beatsPerBar, rest } = exercise;
  const [slowest, fastest] = tempoRangeBpm ?? [SLOWEST, FASTEST];
  return (
    <Flex direction={{ base: 'row', lg: 'column' }} columnGap="5" rowGap="3" wrap="wrap">
      <TempoField
        tempoBpm={tempoBpm}
        min={slowest}
        max={fastest}
        onChange={(tempo) => onChange({ ...exercise, tempoBpm: tempo })}
      />
      <NumberField
        label={t('ears.beatsPerBar')}
        less={t('ears.fewerBeats')}
        more={t('ears.moreBeats')}
        value={beatsPerBar}
        min={1}
        max={MOST_BEATS_PER_BAR}
        onChange={(beats) => onChange({ ...exercise, beatsPerBar: beats })}
      />
      <Choice
        legend={t('swell.start')}
        value={exercise.start}
        onChange={(start) => onChange({ ...exercise, start })}
        options={PACES.map((value) => ({
          value,
          label: t(`start.${value}`),
        }))}
      />
      <Choice
        legend={t('builder.rest')}
        value={rest.kind}
        onChange={(kind) =>
          onChange({ ...exercise, rest: kind === 'beats' ? { kind, beats: USUAL_REST_BEATS } : { kind } })
        }
        options={(['asPlayed', 'beats', 'wait'] as const).map((value) => ({
          value,
          label: t(`builder.restKind.${value}`, {
            count: rest.kind === 'beats' ? rest.beats : USUAL_REST_BEATS,
          }),
        }))}
      />
      <Choice
        legend={t('builder.onFault')}
        value={exercise.onFault}
        onChange={(onFault) => onChange({ ...exercise, onFault })}
        options={(['finish', 'stop'] as const).map((value) => ({
          value,
          label: t(`builder.fault.${value}`),
        }))}
      />
    </Flex>
  );
}
