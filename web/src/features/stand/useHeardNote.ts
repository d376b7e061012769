import { nearestMark, type DynamicMark, type DynamicScale } from '@inner-hum/core/exercise';
import { columnValue } from '@inner-hum/core/hearing';
import { centsBetween, frequencyHz, nearestMidi, type SoundingMidi } from '@inner-hum/core/horn';
import { median } from '@inner-hum/core/stats';
import { useEffect, useState } from 'react';
import { useSession } from '../../session/index.ts';

export interface HeardNote {
  midi: SoundingMidi;
  cents: number;
  mark: DynamicMark;
}

const EVERY_MS = 120;
const LOOK_BACK = 18;
const LEAST_FRAMES = 8;

/**
 * The nearest note of the last 0.2 s, a few times a second: calm enough to read. Null in silence. The note
 * changes only when the pitch has left it by 60 cents, so that it does not flicker on the border.
 */
export function useHeardNote(a4Hz: number, scale: DynamicScale): HeardNote | null {
  const { live } = useSession();
  const [heard, setHeard] = useState<HeardNote | null>(null);
  useEffect(() => {
    const timer = setInterval(() => {
      const { columns, count } = live.track;
      const pitches: number[] = [];
      for (let i = Math.max(0, count - LOOK_BACK); i < count; i++) {
        const f0Hz = columnValue(columns.f0Hz, i);
        if (f0Hz !== null && columns.clarity[i] > 0.6) pitches.push(f0Hz);
      }
      const f0Hz = pitches.length < LEAST_FRAMES ? null : median(pitches);
      setHeard((before) => {
        if (f0Hz === null) return null;
        const stays = before && Math.abs(centsBetween(f0Hz, frequencyHz(before.midi, a4Hz))) < 60;
        const midi = stays ? before.midi : nearestMidi(f0Hz, a4Hz);
        const cents = Math.round(centsBetween(f0Hz, frequencyHz(midi, a4Hz)));
        const mark = nearestMark(columns.levelDb[count - 1], scale);
        return before?.midi === midi && before.cents === cents && before.mark === mark
          ? before
          : { midi, cents, mark };
      });
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [live, a4Hz, scale]);
  return heard;
}
