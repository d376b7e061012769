import type { WrittenMidi } from '../horn/index.ts';

/** What stood out, with its figures. The interface turns it into words. */
export type Finding =
  | { kind: 'missed' }
  | { kind: 'wrongNote'; heardMidi: WrittenMidi }
  /** Loud without a pitch: instead of the note, or before it came. */
  | { kind: 'onlySquawk' }
  | { kind: 'squawk'; ms: number }
  /** Another partial of the fingered tube sounded for most of the note, under or over the one that was wanted. */
  | { kind: 'lowPartial' | 'highPartial'; partial: number; wanted: number }
  /** It spoke, and fell to a lower partial to its end. */
  | { kind: 'fellBack'; to: number; atSeconds: number }
  | { kind: 'jump'; to: number; atSeconds: number }
  | { kind: 'breath'; atSeconds: number }
  | { kind: 'restart'; atSeconds: number }
  | { kind: 'gap'; atSeconds: number; lengthMs: number }
  | { kind: 'slurGap'; lengthMs: number }
  | { kind: 'firstPartial'; partial: number }
  | { kind: 'short'; heldSeconds: number; writtenSeconds: number }
  | { kind: 'gapBreath' }
  | { kind: 'response'; ms: number }
  | { kind: 'crack'; to: number; atSeconds: number }
  | { kind: 'stair'; count: number; worstDb: number; atSeconds: number }
  | { kind: 'beat'; ms: number }
  | { kind: 'slowSlur'; ms: number }
  | { kind: 'overshoot'; cents: number }
  | { kind: 'loudEnd'; cents: number }
  | { kind: 'softEnd'; cents: number }
  | { kind: 'pitch'; cents: number }
  | { kind: 'hum'; cents: number }
  | { kind: 'landing'; cents: number }
  | { kind: 'peak'; beats: number }
  | { kind: 'swellError'; db: number }
  | { kind: 'unsteady'; db: number }
  | { kind: 'step'; db: number }
  | { kind: 'wander'; cents: number }
  | { kind: 'held'; seconds: number; cause: 'completed' | 'pitch' | 'level' | 'breath' | 'partial' | 'gap' }
  /** Bent less far than written; and how far off it came back. */
  | { kind: 'bendShort'; cents: number; wantedCents: number }
  | { kind: 'bendBack'; cents: number }
  | { kind: 'bent'; cents: number }
  /** The colour was to move and stayed; how far it moved, in harmonic numbers. */
  | { kind: 'colourStill'; harmonics: number }
  | { kind: 'colourMoved'; harmonics: number; spreadCents: number }
  /** Bare air against the first of the phrase, + is more. */
  | { kind: 'airAgainst'; db: number }
  /** Beside the other sound of the same pitch: too far off in colour or pitch, or near enough. */
  | { kind: 'colourApart'; db: number }
  | { kind: 'pitchApart'; cents: number }
  | { kind: 'matched'; db: number; cents: number }
  /** A subtone was asked for: still full, soft or airy without being one, or one. */
  | { kind: 'stillFull' | 'weakTone' | 'subtone'; airierDb: number; softerDb: number }
  /** Vibrato against what was written. */
  | { kind: 'vibratoThere' | 'vibrato'; hz: number; cents: number; regularity: number }
  | { kind: 'vibratoMissing' }
  | { kind: 'vibratoSlow' | 'vibratoFast'; hz: number; leastHz: number; mostHz: number }
  | { kind: 'vibratoUneven'; regularity: number }
  | { kind: 'even'; errorDb: number; spreadCents: number }
  | { kind: 'quiet' };

/** The one thing to try next. */
export type Advice =
  | 'countTheRest'
  | 'nameItFirst'
  | 'chinDown'
  | 'fromAHint'
  | 'voiceHigher'
  | 'voiceLower'
  | 'keepTheVoicing'
  | 'sameSoundFirst'
  | 'samePitchFirst'
  | 'moreAirBeforeJump'
  | 'keepAirThrough'
  | 'oneBreathSooner'
  | 'goOnAnyway'
  | 'airNotFingers'
  | 'startOnTheNote'
  | 'shorterFirst'
  | 'holdTheAir'
  | 'softestThatSpeaks'
  | 'slowerThroughStair'
  | 'breatheWithTheBeat'
  | 'fingersTogether'
  | 'arriveOnTheNote'
  | 'loudEndVoicing'
  | 'softEndVoicing'
  | 'hearNoteFirst'
  | 'countTheTurn'
  | 'smallerSpan'
  | 'sameAir'
  | 'steadyAir'
  | 'holdLonger'
  | 'bendByTongue'
  | 'comeBackByEar'
  | 'widerVowels'
  | 'takeTheFreer'
  | 'voiceFirst'
  | 'straightTone'
  | 'swingOnTheBeat'
  | 'slowerSwing'
  | 'quickerSwing'
  | 'moveOn'
  | 'addABeat';

/** A finding with the weight it has against others and the advice it calls for. */
export interface Weighed {
  finding: Finding;
  advice: Advice;
  weight: number;
}
