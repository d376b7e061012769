// Horn knowledge: the family as data, written and sounding pitch, note names, tubes and their partials.
// Depends on nothing above it; hears nothing, judges nothing.
export { writtenMidi, soundingMidi, type WrittenMidi, type SoundingMidi } from './pitch.ts';
export { frequencyHz, centsBetween, nearestMidi } from './pitch.ts';
export { HORNS, HORN_IDS, hornById, isHornId, type Horn, type HornId } from './horns.ts';
export { toSounding, toWritten } from './horns.ts';
export { regularTube, type TubeFingering } from './tubes.ts';
export { readNote } from './readNote.ts';
export { nameNote, type NoteNaming, type NoteName } from './noteNames.ts';
export { pitchTarget, type FingeredNote, type PitchTarget } from './pitchTarget.ts';
export { registerOf, type Register } from './register.ts';
export { droneHz } from './drone.ts';
export { hornWithin, HIGHEST_NOTE, LEAST_RANGE, type NoteRange } from './range.ts';
