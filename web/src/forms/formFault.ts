/** What can be wrong with what was typed: the messages of the schemas, sentences under `form.` in the message files. */
export const FORM_FAULTS = [
  'aimText',
  'targetNumber',
  'dayPassed',
  'cue',
  'cuesAlike',
  'reedKind',
  'checkText',
  'mouthpieceName',
] as const;

type FormFault = (typeof FORM_FAULTS)[number];

/** A fault as the message of a schema. */
export const fault = (code: FormFault) => code;

/** The fault that a schema told, where it is one of ours. */
export const formFault = (message: string | undefined): FormFault | null =>
  FORM_FAULTS.find((each) => each === message) ?? null;
