export type CoreErrorCode =
  | 'sample-rate-unsupported'
  | 'samples-not-finite'
  | 'argument-invalid'
  | 'horn-unknown'
  | 'exercise-invalid'
  | 'family-no-room'
  | 'packed-rows'
  | 'wav-unreadable'
  | 'flac-unreadable'
  | 'flac-unwritable'
  | 'score-unreadable'
  | 'json-unreadable'
  | 'task-unreadable'
  | 'calibration-impossible';

/** Why something from outside is not read, for a player: the interface has a sentence for each, in every language. */
export const REASONS = [
  'empty',
  'cutShort',
  'damaged',
  'tooLarge',
  'tooDeep',
  'notFinite',
  'notWav',
  'coding',
  'rate',
  'noSound',
  'notScore',
  'notMidi',
  'midiFrames',
  'notXml',
  'entities',
  'lettersUnknown',
  'noNotes',
  'tooManyParts',
  'tooManyStaves',
  'tooSlow',
  'tooManyNotes',
  'tooLong',
  'packedTooMuch',
  'notJson',
  'forbiddenField',
  'exercise',
  'notTask',
  'newer',
] as const;
export interface Reason {
  name: (typeof REASONS)[number];
  /** Figures and names that stand in its sentence. */
  values: Readonly<Record<string, string | number>>;
}

/** Why something was not read, as it may travel between threads: for programs and reports, and for a player where that is known. */
export interface Why {
  text: string;
  reason: Reason | null;
}

/**
 * The one error class of the core. `code` is for programs, `message` names the limit and the value.
 * Classes do not survive a worker boundary: send what `whyOf` says there.
 */
export class CoreError extends Error {
  readonly code: CoreErrorCode;
  /** Null where the message is for programs alone. */
  readonly reason: Reason | null;
  constructor(code: CoreErrorCode, message: string, reason: Reason | null = null) {
    super(message);
    this.reason = reason;
    this.name = 'CoreError';
    this.code = code;
  }
}

/** What an error says of why something was not read. */
export const whyOf = (error: unknown): Why => ({
  text: error instanceof Error ? error.message : String(error),
  reason: error instanceof CoreError ? error.reason : null,
});
