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
  | 'calibration-impossible';

/**
 * The one error class of the core. `code` is for programs, `message` names the limit and the value.
 * Classes do not survive a worker boundary: send `{code, message}` there.
 */
export class CoreError extends Error {
  readonly code: CoreErrorCode;
  constructor(code: CoreErrorCode, message: string) {
    super(message);
    this.name = 'CoreError';
    this.code = code;
  }
}
