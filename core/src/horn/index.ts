// Horn knowledge: the family as data, written and sounding pitch, note names, tubes and their partials.
// Depends on nothing above it; hears nothing, judges nothing.
export { writtenMidi, soundingMidi, type WrittenMidi, type SoundingMidi } from './pitch.ts';
export { frequencyHz, centsBetween, nearestMidi } from './pitch.ts';
export { HORNS, HORN_IDS, hornById, isHornId, type Horn, type HornId } from './horns.ts';
export { TOP_KEYS, toSounding, toWritten, type TopKey } from './horns.ts';
export { LAST_REGULAR, regularTube, type TubeFingering } from './tubes.ts';
export { fingeringOf, isSameFingering, KEYS, keysMoved, type Fingering, type KeyId } from './keys.ts';
export { fingeringsOf, regularFingering } from './fingerings.ts';
export { fingeringKey, HIGH_NOTES, isHighNote, readFingeringKey, startFingerings } from './highNotes.ts';
export { HIGHEST_PARTIAL, LAST_FUNDAMENTAL, partialNote, pureCents } from './partials.ts';
export {
  FIRST_SHORT_TUBE,
  isShortTube,
  LAST_SHORT_TUBE,
  overblownFifth,
  regularRoute,
  routesTo,
  type Route,
} from './routes.ts';
export { routeChance, type Spoken } from './routeChance.ts';
export {
  allowedRoutes,
  bestLine,
  moveCost,
  routeCost,
  ROUTE_MODES,
  type RoutedLine,
  type RouteMode,
} from './router.ts';
export { readNote } from './readNote.ts';
export { nameNote, plainName, type NoteNaming, type NoteName } from './noteNames.ts';
export { pitchTarget, type FingeredNote, type PitchTarget } from './pitchTarget.ts';
export { registerOf, type Register } from './register.ts';
export { droneHz } from './drone.ts';
export { hornWithin, hornWithTop, HIGHEST_NOTE, LEAST_RANGE, type NoteRange } from './range.ts';
