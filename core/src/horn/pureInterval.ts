/** Small whole-number ratios of the intervals from unison to major seventh (five-limit just intonation). */
const RATIOS = [1, 16 / 15, 9 / 8, 6 / 5, 5 / 4, 4 / 3, 45 / 32, 3 / 2, 8 / 5, 5 / 3, 9 / 5, 15 / 8];

/** Frequency ratio of a pure interval of this many semitones, up or down. */
export function pureRatio(semitones: number): number {
  const octaves = Math.floor(semitones / 12);
  return RATIOS[semitones - 12 * octaves] * 2 ** octaves;
}
