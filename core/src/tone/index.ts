// From frames to events: where the tone begins and ends, where it slips to another partial, tears or stops.
// Reads frames only; knows no marks, beats or verdicts.
export { partialOf, partialsOf, MAX_PARTIAL_ERROR_CENTS } from './partial.ts';
export { pitchRuns, withoutPitch } from './pitchRuns.ts';
export { continues, findToneSpan, MIN_TONE_FRAMES, type ToneSpan } from './toneSpan.ts';
export { findNotes, findStretches, type Stretch } from './notes.ts';
export { findSlips, type Slip } from './slips.ts';
export { findGaps, type Gap } from './gaps.ts';
export { airOnsetSeconds, onsetSeconds, quietestRoom, type RoomNoise } from './onset.ts';
export { fadeMs, MAX_SAG_CENTS, measureRelease, type Release } from './release.ts';
export { createTakeGate, type TakeGate, type TakeGateConfig, type GateMove } from './takeGate.ts';
export { frameMask, framesHearing, PITCH_REACH_SECONDS } from './frameMask.ts';
export { createSoundWatch, type SoundWatch, type SoundTrouble } from './soundWatch.ts';
export { phrasesHeard, type HeardPhrase } from './phrasesHeard.ts';
export { clearSeconds } from './clear.ts';
export { createSurprise, type Surprise, type SurpriseAnswer } from './surprise.ts';
export { createLiveFollower, type FollowedNote, type LiveFollower, type LivePlace } from './liveFollower.ts';
export { octaveWithin, steadyNote } from './steadyNote.ts';
