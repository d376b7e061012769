// Rows of what is played on, and of what was done to it.
import type { HornId } from '@inner-hum/core/horn';

/** What is played on besides the horn itself. */
export interface Gear {
  /** Which mouthpiece; see `mouthpieceOf`. */
  mouthpieceId: string;
  /** Kind and strength of the reed, as the player calls it; empty where it was not said. */
  reedKind: string;
  /** Which single reed; empty where it is not one of the Case. */
  reedId: string;
}

/** A mouthpiece on a horn, as the player calls it. */
export interface MouthpieceRecord {
  id: string;
  hornId: HornId;
  name: string;
  createdAt: number;
}

export const REED_PLAYS = ['well', 'fair', 'badly'] as const;

/** How a reed played, when somebody said so. */
export interface ReedRemark {
  at: number;
  how: (typeof REED_PLAYS)[number];
  text: string;
}

/** A single reed. How long it was played follows from the takes. */
export interface ReedRecord {
  id: string;
  hornId: HornId;
  /** Kind and strength, and what is written on this one, as the player calls them. */
  kind: string;
  name: string;
  createdAt: number;
  /** Out of use since; null while it is in the rotation. */
  retiredAt: number | null;
  remarks: ReedRemark[];
}

export const CHECK_KINDS = ['leakTest', 'technician', 'repair', 'other'] as const;
export type CheckKind = (typeof CHECK_KINDS)[number];

/** Something that was done to a horn. */
export interface HornCheckRecord {
  id: string;
  hornId: HornId;
  /** `yyyy-MM-dd`. */
  day: string;
  kind: CheckKind;
  text: string;
}
