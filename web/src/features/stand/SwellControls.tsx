import { SWELL_SHAPES, type Exercise, type SwellRequest } from '@inner-hum/core/exercise';
import { hornById, soundingMidi, toWritten, writtenMidi } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { HairpinIcon } from '../../notation/index.ts';
import { Choice, NoteField, NumberField, TempoField } from '../../ui/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { type VisitPhase } from '../../session/index.ts';
import { StandControls } from './StandControls.tsx';
import { FASTEST_BPM, SLOWEST_BPM } from './tempoRange.ts';
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
  return (
    <StandControls
      start={
        <StartLine
          exercise={exercise}
          settings={settings}
          phase={phase}
          offerCalibration={offerCalibration}
          onPrimary={onPrimary}
        />
      }
      fields={
        <>
          <NoteField
            label={t('swell.note')}
            less={t('swell.noteDown')}
            more={t('swell.noteUp')}
            midi={request.note}
            min={horn.lowest}
            max={horn.highest}
            naming={settings.naming}
            fromSounding={(sounding) => toWritten(soundingMidi(sounding), horn)}
            onChange={(note) => onChange({ note: writtenMidi(note) })}
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
            value={request.beats}
            min={2}
            max={32}
            step={2}
            onChange={(beats) => onChange({ beats })}
          />
          <TempoField
            tempoBpm={request.tempoBpm}
            min={SLOWEST_BPM}
            max={FASTEST_BPM}
            tapKey={settings.singleKeys ? settings.keys.tap : null}
            onChange={(tempoBpm) => onChange({ tempoBpm })}
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
        </>
      }
    />
  );
}
