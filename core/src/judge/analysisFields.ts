import { DYNAMIC_MARKS } from '../exercise/index.ts';
import type { Finding, FindingKind } from './finding.ts';
import type { HoldCause } from './hold.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import type { TakeEvent } from './takeEvent.ts';

// The fields of all that an analysis tells, for who reads one from outside. What is told anew does not compile without its fields here.

/** A field as it must be: a finite number, a note, perhaps none, yes or no, or one of these words. */
export type Field = 'number' | 'numberOrNull' | 'midi' | 'midiOrNull' | 'flag' | readonly string[];
type FieldOf<T> = [T] extends [number]
  ? 'number' | 'midi'
  : [T] extends [boolean]
    ? 'flag'
    : [T] extends [number | null]
      ? 'numberOrNull'
      : readonly T[];
type FieldsOf<T> = { [Name in keyof T]-?: FieldOf<T[Name]> };
type PayloadOf<Kind extends FindingKind> = Omit<Extract<Finding, { kind: Kind }>, 'kind'>;
type EventOf<Type extends string, Each = TakeEvent> = Each extends { type: infer Own }
  ? Type extends Own
    ? Omit<Each, 'type'>
    : never
  : never;

export const HOLD_CAUSES: readonly HoldCause[] = ['completed', 'pitch', 'level', 'breath', 'partial', 'gap'];

const NOTHING = {};
const AT = { atSeconds: 'number' } as const;
const DB = { db: 'number' } as const;
const MS = { ms: 'number' } as const;
const CENTS = { cents: 'number' } as const;
const WAY = { db: 'number', writtenDb: 'number' } as const;
const AGAINST_MARK = { db: 'number', mark: DYNAMIC_MARKS, written: DYNAMIC_MARKS } as const;
const PARTIALS = { partial: 'number', wanted: 'number' } as const;
const SUBTONE = { airierDb: 'number', softerDb: 'number' } as const;
const SWING = { hz: 'number', cents: 'number', regularity: 'number' } as const;
const SWING_ASKED = { hz: 'number', leastHz: 'number', mostHz: 'number' } as const;
const BEND = { cents: 'number', wantedCents: 'number' } as const;

/** The figures of every finding. */
export const PAYLOADS: { [Kind in FindingKind]: FieldsOf<PayloadOf<Kind>> } = {
  missed: NOTHING,
  onlySquawk: NOTHING,
  wrongNote: { heardMidi: 'midi' },
  lowPartial: PARTIALS,
  highPartial: PARTIALS,
  fellBack: { ...AT, to: 'number' },
  jump: { ...AT, to: 'number' },
  breath: AT,
  restart: AT,
  gap: { ...AT, lengthMs: 'number' },
  slurGap: { lengthMs: 'number' },
  squawk: MS,
  firstPartial: { partial: 'number' },
  short: { heldSeconds: 'number', writtenSeconds: 'number' },
  gapBreath: NOTHING,
  response: MS,
  crack: { ...AT, to: 'number' },
  stair: { ...AT, count: 'number', worstDb: 'number' },
  stillFull: SUBTONE,
  weakTone: SUBTONE,
  hardlyGrew: WAY,
  hardlyFell: WAY,
  beginLevel: AGAINST_MARK,
  peakLevel: AGAINST_MARK,
  endLevel: AGAINST_MARK,
  place: DB,
  byTongue: NOTHING,
  beat: MS,
  endBeat: MS,
  startLevel: DB,
  startBreath: DB,
  startColour: { percent: 'number' },
  startPitch: CENTS,
  slowSlur: MS,
  overshoot: CENTS,
  airySoftEnd: DB,
  bendShort: BEND,
  raiseShort: BEND,
  pitchApart: CENTS,
  loudEnd: CENTS,
  softEnd: CENTS,
  bendBack: CENTS,
  pitch: CENTS,
  hum: CENTS,
  landing: CENTS,
  colourApart: DB,
  colourStill: { harmonics: 'number' },
  vibratoMissing: NOTHING,
  vibratoThere: SWING,
  vibratoSlow: SWING_ASKED,
  vibratoFast: SWING_ASKED,
  vibratoUneven: { regularity: 'number' },
  peak: { beats: 'number' },
  wrongWay: { percent: 'number' },
  endFades: MS,
  endSags: CENTS,
  swellError: DB,
  unsteady: DB,
  step: DB,
  drift: CENTS,
  wander: CENTS,
  notTongued: NOTHING,
  noFullTone: NOTHING,
  tooShort: NOTHING,
  airUnheard: NOTHING,
  evenSwell: { cents: 'number', withinCents: 'number' },
  held: { seconds: 'number', cause: HOLD_CAUSES },
  clear: { seconds: 'number', heldSeconds: 'number' },
  bent: CENTS,
  raised: CENTS,
  colourMoved: { harmonics: 'number', spreadCents: 'number' },
  airAgainst: DB,
  matched: { db: 'number', cents: 'number' },
  subtone: SUBTONE,
  vibrato: SWING,
  even: { errorDb: 'number', withinCents: 'number' },
  quiet: NOTHING,
};

const TIME = { timeSeconds: 'number' } as const;
const STRETCH = { ...TIME, lengthSeconds: 'number' } as const;

export const EVENTS: { [Type in TakeEvent['type']]: FieldsOf<EventOf<Type>> } = {
  airOnset: TIME,
  toneOnset: TIME,
  jump: { ...STRETCH, from: 'number', to: 'number' },
  crack: { ...STRETCH, from: 'number', to: 'number' },
  squeak: { ...STRETCH, soundingHz: 'number' },
  gap: STRETCH,
  breath: TIME,
  stair: { ...STRETCH, stepDb: 'number' },
  degrade: { ...TIME, cause: HOLD_CAUSES },
  release: { ...TIME, clean: 'flag', sagCents: 'numberOrNull' },
  end: TIME,
};

const STATUS = ['played', 'missed', 'wrongNote'];
/** The kinds of items, and what besides must be on them. */
export const ITEMS: Readonly<Record<TakeAnalysis['items'][number]['kind'], Record<string, Field>>> = {
  note: { status: STATUS, writtenMidi: 'midi', heardMidi: 'midiOrNull' },
  rest: {},
  air: { status: STATUS },
  hum: { status: STATUS, writtenMidi: 'midi' },
  hear: {},
  imagine: {},
  free: {},
};
