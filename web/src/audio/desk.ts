import type { MicrophoneTrouble } from './microphone.ts';

/** `standIn`: the simulated player in real time; `quick`: the same as fast as it is heard. */
export type DeskInput = 'microphone' | 'standIn' | 'quick';

/** What goes wrong with a desk that is open. */
export type DeskTrouble = 'micUnplugged' | 'micMuted' | 'deviceChanged' | 'suspended';
export type InputTrouble = MicrophoneTrouble | 'audioFailed';

/** Facts about an input that is open but not as good as it could be. */
export interface OpenInput {
  sampleRateHz: number;
  keptProcessing: string[];
  deviceRateHz: number | null;
  /** The microphone that was chosen is not there: another was opened. */
  isOther: boolean;
}

/** Sound of the simulated player, from a time of the desk's clock on; `onOver` null: over and over. */
export interface Performance {
  samples: Float32Array<ArrayBuffer>;
  sampleRateHz: number;
  atSeconds: number;
  onOver: (() => void) | null;
}

/** Where sound is played to the player: the context and its way to the room. */
export interface DeskOutput {
  context: AudioContext;
  room: AudioNode;
}

/** What a visit stands on: its clock, its one input, and where its sounds go. Nobody else knows what time it is. */
export interface Desk {
  /** Seconds of the desk's clock, which samples move on. */
  now(): number;
  /** Does `work` after so many seconds of that clock; the answer takes it back. */
  after(seconds: number, work: () => void): () => void;
  /** Opens an input in place of the one before and lets its samples flow into `sink`. */
  open(input: DeskInput, sink: MessagePort): Promise<OpenInput | InputTrouble>;
  perform(performance: Performance): void;
  stopPerforming(): void;
  /** Something is being played or waited for: a desk that can go faster does. */
  hurry(isHurried: boolean): void;
  /** When a sound scheduled now is heard, after this many seconds. */
  outputLatencySeconds(): number;
  /** Null where there is nothing to hear. */
  output(): DeskOutput | null;
  /** Wakes a desk that the browser holds back; to be called from a gesture. */
  resume(): Promise<boolean>;
}
