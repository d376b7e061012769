import type { DynamicScale } from '../exercise/index.ts';
import type { SimulatedProfile } from './profile.ts';
import type { SimulatedSlur } from './slur.ts';

/** A note as the simulated player is to play it. */
export interface SimulatedNote {
  /** In-tune frequency of the note. */
  soundingHz: number;
  /** Partial of the fingered tube that this is. */
  partial: number;
  lengthSeconds: number;
  secondsPerBeat: number;
  /** Intended level in dBFS, by beat from the onset. */
  levelDbAtBeat(beat: number): number;
  /** Beat at which growing turns to fading; null where it never does. */
  turnBeat: number | null;
  /** Changes to other notes within the tone, in order. */
  slurs?: readonly SimulatedSlur[];
  /** Cents off the note, and colour (0 dark - 1 bright), by seconds from the onset. */
  bendCents?: ((seconds: number) => number | null) | null;
  colourAt?: ((seconds: number) => number | null) | null;
  /** Breath against tone in dB; null: as the loudness has it. */
  breathDbAt?: ((seconds: number) => number | null) | null;
  scale: DynamicScale;
  profile: SimulatedProfile;
  sampleRateHz: number;
  seed: number;
  /** Silence before the air and after the tone. */
  leadSeconds: number;
  tailSeconds: number;
}
