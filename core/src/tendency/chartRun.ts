import type { WrittenMidi } from '../horn/index.ts';
import type { TendencyMap } from './fitMap.ts';

/** What one visit of a note brings: as if so many cents of scatter stood behind it. */
const VISIT_CENTS = 4;
/** A note known as well as this needs no visit. */
const KNOWN_CENTS = 5;

/**
 * The notes of a chart run in the order in which each next one takes away most uncertainty from the whole map, given those before it:
 * what is learnt of one note tells of its neighbours. In a linear model this does not depend on what will be heard, so that the whole
 * run can be laid out beforehand. At most `most` notes; notes that are known are left out.
 */
export function chartRun(map: TendencyMap, most: number): WrittenMidi[] {
  const count = map.notes.length;
  // Covariance of the notes among each other; each visit takes its share out of it (Sherman and Morrison 1950).
  const covariance = Float64Array.from(map.covariance);
  const run: WrittenMidi[] = [];
  while (run.length < most) {
    let [best, gained] = [-1, 0];
    for (let i = 0; i < count; i++) {
      const own = covariance[i * count + i];
      if (own < KNOWN_CENTS ** 2 || run.includes(map.notes[i].writtenMidi)) continue;
      let sum = 0;
      for (let j = 0; j < count; j++) sum += covariance[i * count + j] ** 2;
      const gain = sum / (own + VISIT_CENTS ** 2);
      if (gain > gained) [best, gained] = [i, gain];
    }
    if (best < 0) break;
    const row = covariance.slice(best * count, (best + 1) * count);
    const bottom = row[best] + VISIT_CENTS ** 2;
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) covariance[i * count + j] -= (row[i] * row[j]) / bottom;
    run.push(map.notes[best].writtenMidi);
  }
  return run;
}
