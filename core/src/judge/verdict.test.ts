import { describe, expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, notesOf, scoreOf, type Judged } from '../exercise/index.ts';
import { noFigures } from '../figures/index.ts';
import { writtenMidi } from '../horn/index.ts';
import type { ItemMeasures } from './measures.ts';
import { noteFindings } from './noteFindings.ts';
import type { NoteHeard } from './noteHeard.ts';
import { TOLERANCES } from './tolerances.ts';
import { decideVerdict } from './verdict.ts';
import type { TakeEvent } from './takeEvent.ts';

const good: ItemMeasures = {
  ...noFigures('line'),
  ...noFigures('start'),
  onsetOffsetMs: null,
  endOffsetMs: null,
  endFadeMs: null,
  clearSeconds: null,
  firstPartial: null,
  landingCents: 2,
  settleMs: 0,
  centsMean: 1,
  centsSpread: 4,
  withinCents: 7,
  firstToLastCents: 1,
  endToEndCents: -10,
  softestDb: -40,
  peakDb: -20,
  softEndBreathDb: -18,
  softEndCents: 6,
  loudEndCents: -4,
  pitchSlopeCentsPer10Db: -5,
  pitchSlopeR2: 0.9,
  driftCentsPerSecond: 0,
  levelDb: -30,
  levelSpreadDb: 6,
  levelDriftDbPerSecond: 0,
  centroidHarmonics: 3,
  noiseToHarmonicDb: -25,
  centroidSlopeHarmonicsPer10Db: 0.4,
  vibratoHz: null,
  vibratoCents: null,
  vibratoRegularity: null,
  dynamicSpanDb: 20,
  swellErrorDb: 0.8,
  levelOffsetDb: 0,
  stairs: { count: 0, worstDb: null },
  wrongWayPercent: 0,
  peakOffsetBeats: 0.1,
  holdSeconds: 8,
  holdBeats: 8,
  holdCause: 'completed',
};

function verdict(
  change: Partial<ItemMeasures> = {},
  events: TakeEvent[] = [],
  more: {
    shape?: 'growFade' | 'steady';
    level?: 'usual' | 'strict';
    endSeconds?: number;
    judged?: Judged[] | null;
    room?: Partial<NoteHeard>;
  } = {},
) {
  const { shape = 'growFade', level = 'usual', endSeconds = 8.5, judged = null, room = {} } = more;
  const exercise = buildSwell({
    note: writtenMidi(67),
    shape,
    beats: 8,
    tempoBpm: 60,
    start: 'countIn',
  });
  const measures = { ...good, ...change };
  const note = notesOf(scoreOf(exercise))[0].item;
  const findings = noteFindings({
    note,
    measures,
    events: [{ type: 'toneOnset', timeSeconds: 0.5 }, ...events, { type: 'end', timeSeconds: endSeconds }],
    onsetSeconds: 0.5,
    tolerance: TOLERANCES[level],
    writtenSeconds: 8,
    isOwnTime: false,
    isBackInLine: false,
    writtenEndSeconds: 8.5,
    holeAfterMs: null,
    partial: 1,
    heardPartial: 1,
    breathHeard: events.some(({ type }) => type === 'breath'),
    isJoined: false,
    airBeforeWasWritten: false,
    airAfterWasWritten: false,
    airWouldBeHeard: true,
    ringsMs: 0,
    isOverTail: false,
    usualSoftBreathDb: null,
    othersDb: null,
    ...room,
    level: {
      hairpin: null,
      offsetDb: 0,
      evenPlaceDb: null,
      phraseOffsetDb: 0,
      isAlone: true,
      isFlat: false,
      scale: DEFAULT_SCALE,
    },
  });
  const even = { kind: 'even', errorDb: 0.8, withinCents: 7 } as const;
  return decideVerdict(findings, even, judged, TOLERANCES[level]);
}
const kinds = (...of: Parameters<typeof verdict>) => verdict(...of).findings.map(({ kind }) => kind);

it('says what a good swell was, by its figures and its band', () => {
  expect(verdict()).toEqual({
    findings: [{ kind: 'even', errorDb: 0.8, withinCents: 7 }],
    advice: 'addABeat',
    band: { pitchCents: 10, swellErrorDb: 2.5 },
  });
});

it('judges the same take more strictly by a stricter band', () => {
  expect(kinds({}, [], { level: 'strict' })).toEqual(['softEnd']);
  expect(kinds({ swellErrorDb: 2 }, [], { level: 'strict' })).toEqual(['softEnd', 'swellError']);
});

it('puts a torn tone before a stair, a stair before pitch, and says two things at most', () => {
  const jump: TakeEvent = { type: 'jump', timeSeconds: 6.5, lengthSeconds: 0.4, from: 1, to: 2 };
  const stair: TakeEvent = { type: 'stair', timeSeconds: 2, lengthSeconds: 1, stepDb: 4 };
  const change = { loudEndCents: -18, peakOffsetBeats: 0.6, stairs: { count: 1, worstDb: 4 } };
  expect(kinds(change, [stair, jump])).toEqual(['jump', 'stair']);
  expect(kinds(change, [stair])).toEqual(['stair', 'loudEnd']);
  expect(kinds(change)).toEqual(['loudEnd', 'peak']);
  expect(verdict(change, [stair, jump]).findings[0]).toEqual({ kind: 'jump', to: 2, atSeconds: 6 });
});

it('tells a note that was broken off from one that was held', () => {
  expect(kinds({}, [], { endSeconds: 4 })).toEqual(['short']);
  expect(kinds({}, [], { endSeconds: 8 })).toEqual(['even']);
});

it('names the end that is farther off, and a steady tone by its middle', () => {
  expect(kinds({ softEndCents: 22, loudEndCents: -14 })).toEqual(['softEnd']);
  expect(kinds({ softEndCents: 12, loudEndCents: -14 })).toEqual(['loudEnd']);
  const steady = { softEndCents: null, loudEndCents: null, peakOffsetBeats: null };
  expect(kinds({ ...steady, centsMean: -13 }, [], { shape: 'steady' })).toEqual(['pitch']);
  expect(kinds({ ...steady, centsSpread: 13 }, [], { shape: 'steady' })).toEqual(['wander']);
  expect(verdict({ ...steady, swellErrorDb: 3 }, [], { shape: 'steady' }).advice).toBe('steadyAir');
});

it('tells how a note came in and followed the one before, and leaves out what is not judged', () => {
  const gap: TakeEvent = { type: 'gap', timeSeconds: 3, lengthSeconds: 0.6 };
  expect(kinds({}, [gap])).toEqual(['restart']);
  expect(kinds({}, [gap, { type: 'breath', timeSeconds: 3.1 }])).toEqual(['breath']);
  expect(kinds({ firstPartial: 2, responseMs: 400 })).toEqual(['firstPartial']);
  const crack: TakeEvent = { type: 'crack', timeSeconds: 3, lengthSeconds: 0.09, from: 1, to: 2 };
  expect(kinds({}, [crack])).toEqual(['crack']);
  expect(kinds({ onsetOffsetMs: -130 })).toEqual(['beat']);
  expect(kinds({ onsetOffsetMs: -90 })).toEqual(['even']);
  expect(kinds({ onsetOffsetMs: -130 }, [], { judged: ['pitch'] })).toEqual(['even']);
  expect(kinds({ slurMs: 200, gapMs: 0, overshootCents: 35 })).toEqual(['slowSlur', 'overshoot']);
  expect(kinds({ slurMs: 200, gapMs: 90 })).toEqual(['slurGap']);
  expect(kinds({ stepDb: 4 }, [], { shape: 'steady' })).toEqual(['step']);
});

describe('in a room that rings', () => {
  // 10 dB in 150 ms, as in a live room.
  const live = { room: { ringsMs: 150 } };

  it.each([
    [
      'late by what rings of the note before',
      { onsetOffsetMs: 240 },
      { room: { ringsMs: 150, isOverTail: true } },
      'beat',
    ],
    ['an end that the room makes later', { endOffsetMs: 300 }, live, 'endBeat'],
    ['an end that the room lets fade', { endOffsetMs: 0, endFadeMs: 600 }, live, 'endFades'],
    ['a change over what rings', { slurMs: 180 }, live, 'slowSlur'],
    ['two pitches that pull at each other', { overshootCents: 45 }, live, 'overshoot'],
    ['air that rang on under a soft end', { softEndBreathDb: -3 }, live, 'airySoftEnd'],
    ['a loudest moment that echoes move', { peakOffsetBeats: 0.4 }, live, 'peak'],
    ['a moment of going back', { wrongWayPercent: 8 }, live, 'wrongWay'],
  ] as const)('does not blame the player for %s', (_, change, heard, kind) => {
    expect(kinds(change, [], heard)).not.toContain(kind);
    expect(kinds(change), 'and in a dry one does').toContain(kind);
  });

  it.each([
    ['a first note that is late', { onsetOffsetMs: 240 }, 'beat'],
    ['an end that came early', { endOffsetMs: -200 }, 'endBeat'],
    ['an end far too late', { endOffsetMs: 500 }, 'endBeat'],
    ['a slide', { slurMs: 300 }, 'slowSlur'],
    // What echoes make is not measured as one: see `dipAtSlur.test.ts`.
    ['a hole at a slur', { gapMs: 110 }, 'slurGap'],
    ['air all along', { softEndBreathDb: 3 }, 'airySoftEnd'],
  ] as const)('still tells %s', (_, change, kind) => {
    expect(kinds(change, [], live)).toContain(kind);
  });

  it('takes what happens in the last of a note for the room, and what happens before for the player', () => {
    const jumpAt = (timeSeconds: number): TakeEvent => ({
      type: 'jump',
      timeSeconds,
      lengthSeconds: 0.1,
      from: 2,
      to: 1,
    });
    expect(kinds({}, [jumpAt(8.4)], live)).not.toContain('fellBack');
    expect(kinds({}, [jumpAt(8.4)])).toContain('fellBack');
    expect(kinds({}, [jumpAt(5)], live)).toContain('jump');
  });

  it('tells a hole of the player from one of echoes', () => {
    const hole = (lengthSeconds: number): TakeEvent => ({ type: 'gap', timeSeconds: 4, lengthSeconds });
    expect(kinds({}, [hole(0.05)], live)).not.toContain('gap');
    expect(kinds({}, [hole(0.05)])).toContain('gap');
    expect(kinds({}, [hole(0.1)], live)).toContain('gap');
    expect(kinds({}, [hole(0.3)], live)).toContain('restart');
  });
});

it('leaves the air at a soft end that goes out of air or back to it', () => {
  const airy = { softEndBreathDb: 0 };
  expect(kinds(airy)).toContain('airySoftEnd');
  expect(kinds(airy, [], { room: { airBeforeWasWritten: true } })).not.toContain('airySoftEnd');
  expect(kinds(airy, [], { room: { airAfterWasWritten: true } })).not.toContain('airySoftEnd');
});

it('leaves the air at a soft end no louder than what others make', () => {
  const airy = { softEndBreathDb: 0, softestDb: -45 };
  expect(kinds(airy, [], { room: { othersDb: -55 } })).not.toContain('airySoftEnd');
  expect(kinds(airy, [], { room: { othersDb: -65 } })).toContain('airySoftEnd');
});
