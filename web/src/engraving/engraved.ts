import type { Phrase, Vibrato } from '@inner-hum/core/exercise';

/** A phrase as it is engraved. */
export interface EngravedPhrase {
  phrase: Phrase;
  beatsPerBar: number;
  /** Half steps from what is stored to what is read. */
  shift: number;
}

/** Words that stand in the music, in the player's language. */
export interface EngravingWords {
  hear: string;
  hum: string;
  air: string;
  imagine: string;
  free: string;
  hold: string;
  /** "3 times". */
  times(count: number): string;
  subtone: string;
  vibrato: Record<Vibrato, string>;
  /** The name of a fingering. */
  fingered(midi: number): string;
}

export interface EngraveOptions {
  width: number;
  scale: number;
  ink: string;
  mostLines: number;
  words: EngravingWords;
}
