import { halfWidth16to84, median } from '../stats/index.ts';
import type { NoteMeasures } from './measures.ts';
import { present, type NoteTrack } from './noteTrack.ts';
import {
  bendWithLevel,
  centsAtEnd,
  centsOverall,
  colourShift,
  driftPerSecond,
  dynamicSpanDb,
} from './pitchMeasures.ts';
import { measureVibrato } from './vibrato.ts';

/** Everything that can be said of a note without knowing what was written. */
export function measureNote(note: NoteTrack): NoteMeasures {
  return {
    ...centsOverall(note),
    driftCentsPerSecond: driftPerSecond(note, note.cents),
    softEndCents: centsAtEnd(note, 'soft'),
    loudEndCents: centsAtEnd(note, 'loud'),
    ...bendWithLevel(note),
    levelDb: median(present(note.levelDb)),
    levelSpreadDb: halfWidth16to84(present(note.levelDb)),
    levelDriftDbPerSecond: driftPerSecond(note, note.levelDb),
    dynamicSpanDb: dynamicSpanDb(note),
    brightness: median(present(note.brightness)),
    breathDb: median(present(note.breathDb)),
    colourShift: colourShift(note),
    ...measureVibrato(note),
  };
}
