import type { SimulatedSwerve } from './swerve.ts';

export interface SimulatedJump {
  /** Seconds after the tone's onset. */
  atSeconds: number;
  lengthSeconds: number;
  /** Partial of the fingered tube that sounds instead. */
  toPartial: number;
}

export interface SimulatedStair {
  /** Beat at which the level stops moving. */
  atBeat: number;
  /** How long it stands still before it catches up with the line within 0.1 s. */
  holdSeconds: number;
}

/** How this player plays: every fault with its size. All zero is a player without faults. */
export interface SimulatedProfile {
  /** Cents off at the middle of the dynamic scale. */
  tendencyCents: number;
  /** Change of pitch per 10 dB louder; saxophones go flat, so usually negative. */
  bendCentsPer10Db: number;
  /** Standard deviation of a slow random wander of pitch. */
  jitterCents: number;
  /** The same for level. */
  wobbleDb: number;
  vibrato: { rateHz: number; widthCents: number } | null;
  /** Noise against tone at the soft and loud end of the scale; -45 is a very clear tone. */
  breathDbSoft: number;
  breathDbLoud: number;
  /** Air heard before the tone speaks. */
  responseMs: number;
  /** How late the loudest moment comes. */
  peakLateBeats: number;
  stairs: SimulatedStair[];
  jumps: SimulatedJump[];
  swerve: SimulatedSwerve | null;
}

export const STEADY_HAND: SimulatedProfile = {
  tendencyCents: 0,
  bendCentsPer10Db: 0,
  jitterCents: 0,
  wobbleDb: 0,
  vibrato: null,
  breathDbSoft: -45,
  breathDbLoud: -45,
  responseMs: 0,
  peakLateBeats: 0,
  stairs: [],
  jumps: [],
  swerve: null,
};

/** An ordinary good day: sharp when soft, flat when loud, a little air, nothing torn. */
export const WARM_UP: SimulatedProfile = {
  ...STEADY_HAND,
  tendencyCents: 2,
  bendCentsPer10Db: -8,
  jitterCents: 1.5,
  wobbleDb: 0.35,
  breathDbSoft: -14,
  breathDbLoud: -32,
  responseMs: 120,
};

export type ProfileId = 'steady' | 'goodDay' | 'stair' | 'slips' | 'airy';

/** The players one can choose in place of a horn. */
export const PROFILES: Record<ProfileId, SimulatedProfile> = {
  steady: { ...STEADY_HAND, jitterCents: 0.6, wobbleDb: 0.15, breathDbSoft: -28, breathDbLoud: -38 },
  goodDay: WARM_UP,
  stair: { ...WARM_UP, stairs: [{ atBeat: 5, holdSeconds: 0.8 }], peakLateBeats: 0.4 },
  slips: { ...WARM_UP, jumps: [{ atSeconds: 6.4, lengthSeconds: 0.5, toPartial: 2 }] },
  airy: { ...WARM_UP, tendencyCents: -6, breathDbSoft: -4, breathDbLoud: -14, jitterCents: 3 },
};
