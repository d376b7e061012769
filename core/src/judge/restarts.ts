import type { TimedItem } from '../exercise/index.ts';
import type { Finding } from './finding.ts';
import type { JudgedNote } from './judgeNote.ts';
import type { ItemMeasures } from './measures.ts';
import { RINGING_DB, type Tolerance } from './tolerances.ts';

/** A start is like the note it is held against within these; in pitch within the band of the player's tolerance, usually this. */
export const START_LIMITS = { levelDb: 3, breathDb: 4, colourPercent: 10, cents: 10 } as const;
/** A pitch that is a little off sounds louder or brighter in a room that rings. */
const RINGING_COLOUR_PERCENT = 7;

/** Every note that is begun anew, against the last note of its pitch in the phrase that was slurred to: what was slurred to is how it should sound. */
export function measureRestarts(score: readonly TimedItem[], judged: ReadonlyMap<number, JudgedNote>): void {
  for (const [index, { item, measures, isSlurred }] of judged) {
    if (isSlurred || item.attack === 'slurred') continue;
    const model = [...judged].findLast(
      ([i, other]) =>
        i < index &&
        score[i].phrase === score[index].phrase &&
        other.isSlurred &&
        other.item.writtenMidi === item.writtenMidi &&
        other.item.fingered === item.fingered &&
        // A subtone, or another dynamic, is not to sound like it.
        other.item.tone === item.tone &&
        other.item.dynamics.at(-1)?.mark === item.dynamics.at(0)?.mark,
    )?.[1].measures;
    if (!model) continue;
    const less = (name: 'levelDb' | 'noiseToHarmonicDb' | 'centsMean') => {
      const [from, to] = [model[name], measures[name]];
      return from === null || to === null ? null : to - from;
    };
    const [from, to] = [model.centroidHarmonics, measures.centroidHarmonics];
    measures.startLevelDb = less('levelDb');
    measures.startBreathDb = less('noiseToHarmonicDb');
    measures.startColourPercent = from === null || to === null ? null : 100 * (to / from - 1);
    measures.startCents = less('centsMean');
  }
}

/** What stands out of a start beside the note it was held against; `rings`: the room does. */
export function restartFindings(m: ItemMeasures, { pitchCents }: Tolerance, rings: boolean): Finding[] {
  const found: Finding[] = [];
  const { startLevelDb: level, startBreathDb: breath, startColourPercent: colour, startCents: cents } = m;
  const beyond = (value: number | null | undefined, most: number): value is number =>
    typeof value === 'number' && Math.abs(value) > most;
  if (beyond(level, START_LIMITS.levelDb + (rings ? RINGING_DB : 0)))
    found.push({ kind: 'startLevel', db: level });
  if (beyond(breath, START_LIMITS.breathDb)) found.push({ kind: 'startBreath', db: breath });
  if (beyond(colour, START_LIMITS.colourPercent + (rings ? RINGING_COLOUR_PERCENT : 0)))
    found.push({ kind: 'startColour', percent: colour });
  if (beyond(cents, pitchCents)) found.push({ kind: 'startPitch', cents });
  return found;
}
