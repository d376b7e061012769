import { DEFAULT_SCALE, type DynamicScale } from '@inner-hum/core/exercise';
import { readFingeringKey, type Fingering } from '@inner-hum/core/horn';
import { learnScale } from '@inner-hum/core/judge';
import { PROFILES, type ProfileId, type SimulatedProfile } from '@inner-hum/core/simulated';
import { useLiveQuery } from 'dexie-react-hooks';
import type { DeskInput } from '../audio/index.ts';
import {
  mouthpieceOf,
  preferredFingerings,
  readCalibration,
  readSettings,
  recentLoudness,
  type SettingsRecord,
} from '../storage/index.ts';

/** Everything the Stand needs to know of the player and the place, in one piece. */
export interface SessionSetup {
  settings: SettingsRecord;
  scale: DynamicScale;
  profile: SimulatedProfile;
  /** The high fingerings the player settled on for this horn and mouthpiece, by written note. */
  fingerings: ReadonlyMap<number, Fingering>;
  roomFloorDb: number | null;
  roundTripSeconds: number | null;
  /** Whether this place was calibrated, or needs no calibration. */
  calibrated: boolean;
}

/** What is opened for a set-up: the microphone, or the simulated player at its pace. */
export const inputOf = ({ settings: { source, pace } }: SessionSetup): DeskInput =>
  source === 'standIn' && pace === 'quick' ? 'quick' : source;

/** A set-up with what may become another while an exercise stands ready: eyes, beat, drone and the scale. */
export function changedWhileArmed(standing: SessionSetup, next: SessionSetup): SessionSetup {
  const { eyes, drone, beatsPerBar, subdivision, accent, felt, silentBars } = next.settings;
  const changed = { eyes, drone, beatsPerBar, subdivision, accent, felt, silentBars };
  return { ...standing, scale: next.scale, settings: { ...standing.settings, ...changed } };
}

/**
 * The set-up as stored now; null while it is being read. The simulated player plays on a scale of its own. `source`: who plays this
 * time, whatever is stored.
 */
export function useSetup(source: SettingsRecord['source'] | null = null): SessionSetup | null {
  return (
    useLiveQuery(async (): Promise<SessionSetup> => {
      const stored = await readSettings();
      const settings = source ? { ...stored, source } : stored;
      const profile = PROFILES[settings.profileId as ProfileId] ?? PROFILES.goodDay;
      const preferred = await preferredFingerings(mouthpieceOf(settings));
      const fingerings = new Map([...preferred].map(([note, word]) => [note, readFingeringKey(word)]));
      if (settings.source === 'standIn')
        return {
          settings,
          fingerings,
          profile,
          scale: DEFAULT_SCALE,
          roomFloorDb: null,
          roundTripSeconds: 0,
          calibrated: true,
        };
      const calibration = await readCalibration();
      return {
        settings,
        fingerings,
        profile,
        scale: learnScale(calibration?.scale ?? DEFAULT_SCALE, await recentLoudness('microphone')),
        roomFloorDb: calibration?.roomFloorDb ?? null,
        roundTripSeconds: calibration?.roundTripSeconds ?? null,
        calibrated: calibration !== null,
      };
    }, [source]) ?? null
  );
}
