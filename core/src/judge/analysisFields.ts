import type { Fields } from './fields.ts';
import { HOLD_CAUSES } from './hold.ts';
import type { TakeAnalysis } from './takeAnalysis.ts';
import type { TakeEvent } from './takeEvent.ts';

// The fields of all that an analysis tells, for who reads one from outside. What is told anew does not compile without its fields here.

type FieldOf<T> = [T] extends [number]
  ? 'number' | 'midi'
  : [T] extends [boolean]
    ? 'flag'
    : [T] extends [number | null]
      ? 'numberOrNull'
      : readonly T[];
type FieldsOf<T> = { [Name in keyof T]-?: FieldOf<T[Name]> };
type EventOf<Type extends string, Each = TakeEvent> = Each extends { type: infer Own }
  ? Type extends Own
    ? Omit<Each, 'type'>
    : never
  : never;

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
export const ITEMS: Readonly<Record<TakeAnalysis['items'][number]['kind'], Fields>> = {
  note: { status: STATUS, writtenMidi: 'midi', heardMidi: 'midiOrNull' },
  rest: {},
  air: { status: STATUS },
  hum: { status: STATUS, writtenMidi: 'midi' },
  hear: {},
  imagine: {},
  free: {},
};
