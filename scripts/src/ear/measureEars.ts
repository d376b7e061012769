import { pitchWindowSeconds } from '@inner-hum/core/hearing';
import type { Ear } from './ears.ts';
import { SILENCES, SOUND_KINDS, type SoundKind } from './kinds.ts';
import { emptyScore, pitchFigures, quantile, scoreSound, type PitchFigures, type Score } from './score.ts';

export interface KindRow extends PitchFigures {
  kind: string;
  ear: string;
  /** Median and 95th percentile of the size of the error of the onset, and the share that was never heard. */
  onsetMs: { median: number; p95: number; missedPercent: number } | null;
  /** Median error that no unbiased estimator in our own window can better; null without noise. */
  boundCents: number | null;
}

export interface EarRow {
  ear: string;
  /** Frames with a pitch where nothing sounds, per cent, by kind of silence. */
  falsePercent: Record<string, number>;
}

/** Every ear on every kind of exact sound. */
export function measureEars(
  ears: readonly Ear[],
  sampleRateHz: number,
): { kinds: KindRow[]; ears: EarRow[] } {
  const kinds = SOUND_KINDS.flatMap((kind) => {
    const sounds = makeSounds(kind, sampleRateHz);
    const bounds = sounds.flatMap(
      (sound, i) => sound.boundCents(pitchWindowSeconds(kind.pitchesHz[i])) ?? [],
    );
    return ears.map((ear) => {
      const score = emptyScore();
      for (const sound of sounds) scoreSound(score, sound, ear.listen(sound.samples, sampleRateHz));
      return toRow(kind.name, ear.name, score, bounds);
    });
  });
  const silences = SILENCES.map(({ name, make }) => ({ name, sound: make(sampleRateHz) }));
  const rows = ears.map((ear) => {
    const falsePercent: Record<string, number> = {};
    for (const { name, sound } of silences) {
      const score = emptyScore();
      scoreSound(score, sound, ear.listen(sound.samples, sampleRateHz));
      falsePercent[name] = (100 * score.falsePitch) / score.frames;
    }
    return { ear: ear.name, falsePercent };
  });
  return { kinds, ears: rows };
}

const makeSounds = (kind: SoundKind, sampleRateHz: number) =>
  kind.pitchesHz.map((hz, i) => kind.make(hz, sampleRateHz, 10 + i));

function toRow(kind: string, ear: string, score: Score, bounds: readonly number[]): KindRow {
  const onsets = score.onsetMs.filter((ms) => !Number.isNaN(ms));
  return {
    kind,
    ear,
    ...pitchFigures(score),
    onsetMs:
      score.onsetMs.length === 0
        ? null
        : {
            median: quantile(onsets, 0.5),
            p95: quantile(onsets.map(Math.abs), 0.95),
            missedPercent: (100 * (score.onsetMs.length - onsets.length)) / score.onsetMs.length,
          },
    boundCents: bounds.length > 0 ? quantile(bounds, 0.5) : null,
  };
}
