import { join } from 'node:path';

const folder = join(import.meta.dirname, '.states');

/** Browsers whose first visit is over, by who plays: as `storageState` of a journey. */
export const STATES = {
  /** The simulated player, as fast as it is heard. */
  quick: join(folder, 'quick.json'),
  /** The simulated player, in real time. */
  standIn: join(folder, 'stand-in.json'),
  microphone: join(folder, 'microphone.json'),
};

/** A browser that was never here. */
export const NOBODY = { cookies: [], origins: [] };

export interface JourneyOptions {
  /** Of what a browser is, or may store, something is unusual: no other journey may meet it. */
  hasOwnBrowser: boolean;
  /** A WAV that the microphone hears sample by sample, once, from the moment the app listens to it. */
  hears: string | null;
}
