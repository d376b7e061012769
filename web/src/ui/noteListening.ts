import { createContext } from 'react';

export interface NoteListening {
  /** Whether a note is waited for. */
  isOn: boolean;
  /** The microphone could not be opened the last time. */
  hasFailed: boolean;
  /** Waits for a note that is held, played or sung, and gives it as it sounds (MIDI); null where no microphone is used. */
  listen: ((onNote: (soundingMidi: number) => void) => void) | null;
  stop(): void;
}

/** How a note field comes to hear the note that is wanted. */
export const ListenForNote = createContext<NoteListening>({
  isOn: false,
  hasFailed: false,
  listen: null,
  stop: () => undefined,
});
