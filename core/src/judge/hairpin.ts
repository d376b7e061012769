import type { LevelCurve } from './levelCurve.ts';

/** The first and last so much of a hairpin are where it begins and ends. */
const END_SHARE = 0.15;
/** A hairpin of less is one step of a longer line: its notes' places tell. */
const LEAST_WRITTEN_DB = 6;
/** A shorter one cannot be shaped. */
const LEAST_SECONDS = 0.8;

export interface EndOfHairpin {
  /** Level as it was played and as it was written, in dBFS. */
  playedDb: number;
  writtenDb: number;
}

/** How a note with a hairpin went, beside what was written. */
export interface Hairpin {
  begin: EndOfHairpin;
  /** Its loudest; null where it only fades or only grows: then that is an end. */
  peak: EndOfHairpin | null;
  end: EndOfHairpin;
  /** dB of growing and of fading, played and written; null where none is written. */
  grew: EndOfHairpin | null;
  fell: EndOfHairpin | null;
}

type Shape = 'growFade' | 'grow' | 'fade';

/** Reads begin, peak and end of a written hairpin; null where it is too short or too flat to tell. */
export function readHairpin(curve: LevelCurve, shape: Shape, secondsPerBeat: number): Hairpin | null {
  const { beat, calmDb, targetDb } = curve;
  const [first, last] = [beat.at(0), beat.at(-1)];
  if (first === undefined || last === undefined) return null;
  const length = last - first;
  if (length * secondsPerBeat < LEAST_SECONDS) return null;
  const writtenMost = Math.max(...targetDb);
  if (writtenMost - Math.min(...targetDb) < LEAST_WRITTEN_DB) return null;
  const over = (test: (at: number) => boolean): EndOfHairpin | null => {
    let [played, written, count] = [0, 0, 0];
    for (let i = 0; i < beat.length; i++) {
      if (!test(beat[i]) || Number.isNaN(calmDb[i])) continue;
      played += calmDb[i];
      written += targetDb[i];
      count++;
    }
    return count === 0 ? null : { playedDb: played / count, writtenDb: written / count };
  };
  const begin = over((at) => at <= first + END_SHARE * length);
  const end = over((at) => at >= last - END_SHARE * length);
  if (!begin || !end) return null;
  const loudest = calmDb.reduce((most, level) => (level > most ? level : most), -Infinity);
  const peak = shape === 'growFade' ? { playedDb: loudest, writtenDb: writtenMost } : null;
  const way = (from: EndOfHairpin, to: EndOfHairpin) => ({
    playedDb: to.playedDb - from.playedDb,
    writtenDb: to.writtenDb - from.writtenDb,
  });
  return {
    begin,
    peak,
    end,
    grew: shape === 'fade' ? null : way(begin, peak ?? end),
    fell: shape === 'grow' ? null : way(end, peak ?? begin),
  };
}
