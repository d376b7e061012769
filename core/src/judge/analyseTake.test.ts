import { describe, expect, it } from 'vitest';
import {
  buildSwell,
  DEFAULT_SCALE,
  levelAtFraction,
  notesOf,
  parseExercise,
  scoreOf,
  targetFraction,
  type SwellShape,
} from '../exercise/index.ts';
import { CLICK_SECONDS, findHoles, listenTo, renderClick } from '../hearing/index.ts';
import { writtenMidi, type HornId } from '../horn/index.ts';
import { playExercise, STEADY_HAND, type SimulatedProfile } from '../simulated/index.ts';
import { analyseTake, type TakeContext } from './index.ts';

interface Played {
  shape?: SwellShape;
  profile?: Partial<SimulatedProfile>;
  hornId?: HornId;
  note?: number;
  a4Hz?: number;
  clicks?: boolean;
  holes?: boolean;
  droneSpoils?: boolean;
}

function play({
  shape = 'growFade',
  profile = {},
  hornId = 'alto',
  note = 67,
  a4Hz = 440,
  clicks = false,
  holes = false,
  droneSpoils = false,
}: Played) {
  const exercise = buildSwell({
    note: writtenMidi(note),
    shape,
    beats: 8,
    tempoBpm: 60,
    start: 'playToStart',
  });
  const context: TakeContext = {
    exercise,
    hornId,
    a4Hz,
    scale: DEFAULT_SCALE,
    toleranceId: 'usual',
    roomFloorDb: null,
    beatZeroSeconds: null,
    droneSpoils,
  };
  const { samples, truth } = playExercise({
    exercise,
    hornId,
    a4Hz,
    scale: DEFAULT_SCALE,
    profile: { ...STEADY_HAND, ...profile },
    sampleRateHz: 48000,
    seed: 21,
    leadSeconds: 0.5,
    tailSeconds: 0.8,
  });
  const clickSeconds = clicks ? [1, 2, 3, 4, 5, 6, 7, 8] : [];
  for (const time of clickSeconds)
    renderClick(48000).forEach((v, n) => (samples[time * 48000 + n] += 0.3 * v));
  if (holes) for (let n = 60000; n < 400000; n += 30000) samples.fill(0, n, n + 480);
  const track = listenTo(samples, 48000);
  const judge = (seconds: readonly number[]) =>
    analyseTake(track, context, [
      ...findHoles(samples, 48000),
      ...seconds.map((timeSeconds) => ({ timeSeconds, lengthSeconds: CLICK_SECONDS })),
    ]);
  const analysis = judge(clickSeconds);
  if (!analysis) throw new Error('No tone was heard.');
  return { analysis, truth, exercise, judge, ...analysis };
}

describe('a swell judged against what the simulated player really did', () => {
  it('finds nothing wrong with a faultless swell', () => {
    const { measures, events, verdict } = play({});
    expect(measures.centsMean).toBeCloseTo(0, 0);
    expect(measures.swellErrorDb).toBeLessThan(0.15);
    expect(measures.stairs.count).toBe(0);
    expect(measures.wrongWayPercent).toBe(0);
    expect(measures.peakOffsetBeats).toBeCloseTo(0, 1);
    expect(measures.holdCause).toBe('completed');
    expect(measures.holdSeconds).toBeCloseTo(8, 1);
    expect(events.map(({ type }) => type)).toEqual(['toneOnset', 'release', 'end']);
    expect(verdict.findings[0].kind).toBe('evenSwell');
  });

  it('reads bend with level, and the ends, from a pitch that sinks with loudness', () => {
    // cents = -9 - 8.4 per 10 dB over the middle (-31 dBFS), read off the truth at the ends' median levels
    const { measures } = play({ profile: { tendencyCents: -9, bendCentsPer10Db: -8.4 } });
    expect(measures.pitchSlopeCentsPer10Db).toBeCloseTo(-8.4, 0);
    expect(measures.pitchSlopeR2).toBeGreaterThan(0.95);
    expect(measures.loudEndCents).toBeGreaterThan(-18.5);
    expect(measures.loudEndCents).toBeLessThan(-14.5);
    expect(measures.softEndCents).toBeGreaterThan(-4);
    expect(measures.softEndCents).toBeLessThan(0.5);
  });

  it('measures a late peak, and the level error it makes, as algebra says', () => {
    const { measures, exercise } = play({ profile: { peakLateBeats: 0.5 } });
    expect(measures.peakOffsetBeats).toBeGreaterThan(0.4);
    expect(measures.peakOffsetBeats).toBeLessThan(0.6);
    expect(measures.wrongWayPercent).toBe(0);
    // The same line with its turn at 4.5, against the written one, over the steady part.
    const level = (beat: number) =>
      levelAtFraction(targetFraction(notesOf(scoreOf(exercise))[0].item, beat), DEFAULT_SCALE);
    const beats = Array.from({ length: 771 }, (_, i) => 0.15 + i / 100);
    const distance = beats.map((b) => level(b < 4.5 ? (b * 4) / 4.5 : 4 + ((b - 4.5) * 4) / 3.5) - level(b));
    const mean = distance.reduce((sum, d) => sum + d, 0) / distance.length;
    const rms = Math.sqrt(distance.reduce((sum, d) => sum + (d - mean) ** 2, 0) / distance.length);
    expect(Math.abs((measures.swellErrorDb ?? 0) - rms)).toBeLessThan(0.15);
  });

  it('counts one stair with the size of its step', () => {
    const { measures, events } = play({ profile: { stairs: [{ atBeat: 1.5, holdSeconds: 1 }] } });
    expect(measures.stairs.count).toBe(1);
    // It stands for 1 s while the line climbs 5.36 dB, then makes up 5.36 + 0.54 dB within 0.1 s: 5.1 dB more
    // than the line moves in 150 ms; the 50 ms level window takes off a little.
    expect(measures.stairs.worstDb).toBeGreaterThan(4.2);
    expect(measures.stairs.worstDb).toBeLessThan(5.4);
    const stair = events.find(({ type }) => type === 'stair');
    expect(stair?.timeSeconds).toBeGreaterThan(1.8);
    expect(stair?.timeSeconds).toBeLessThan(2.4);
  });

  it('tells a jump to another partial from a crack, and keeps both out of the pitch', () => {
    const { measures, events, truth } = play({
      profile: {
        jumps: [
          { atSeconds: 2.5, lengthSeconds: 0.08, toPartial: 2 },
          { atSeconds: 6, lengthSeconds: 0.5, toPartial: 3 },
        ],
      },
    });
    const [crack, jump] = events.filter(({ type }) => type === 'crack' || type === 'jump');
    expect(crack).toMatchObject({ type: 'crack', from: 1, to: 2 });
    expect(jump).toMatchObject({ type: 'jump', from: 1, to: 3 });
    expect(Math.abs(crack.timeSeconds - truth.jumps[0].timeSeconds)).toBeLessThan(0.03);
    expect(Math.abs(jump.timeSeconds - truth.jumps[1].timeSeconds)).toBeLessThan(0.03);
    expect(measures.centsMean).toBeCloseTo(0, 0);
    expect(measures.holdCause).toBe('partial');
    expect(Math.abs((measures.holdSeconds ?? 0) - 6)).toBeLessThan(0.05);
  });

  it('keeps metronome clicks out of the measurement once they are found', () => {
    const { measures, events, judge } = play({ clicks: true });
    const unmasked = judge([]);
    // A loud click tears the pitch of a soft tone for 30 ms.
    expect(events.map(({ type }) => type)).toEqual(['toneOnset', 'release', 'end']);
    expect(unmasked?.events.some(({ type }) => type === 'gap' || type === 'squeak')).toBe(true);
    expect(measures.swellErrorDb).toBeLessThan(0.2);
    expect(unmasked?.measures.swellErrorDb).toBeGreaterThan(1);
  });

  it('says nothing of pitch and onset under a drone, and measures the rest', () => {
    const { measures, verdict, notJudged } = play({
      profile: { tendencyCents: 40, responseMs: 200 },
      droneSpoils: true,
    });
    expect(notJudged).toEqual(['pitch', 'onset']);
    expect([measures.centsMean, measures.loudEndCents, measures.responseMs]).toEqual([null, null, null]);
    expect(measures.swellErrorDb).toBeLessThan(0.2);
    expect(verdict.findings.map(({ kind }) => kind)).toEqual(['even']);
  });

  it('tells a late start from a prompt one', () => {
    const late = play({ profile: { responseMs: 260 } });
    expect(Math.abs((late.measures.responseMs ?? 0) - 260)).toBeLessThan(15);
    expect(late.verdict).toMatchObject({ findings: [{ kind: 'response' }], advice: 'softestThatSpeaks' });
    expect(play({}).measures.responseMs).toBeNull();
  });

  it('measures around holes that a busy machine left in the sound', () => {
    const { measures, events } = play({ holes: true });
    expect(measures.swellErrorDb).toBeLessThan(0.2);
    expect(measures.centsMean).toBeCloseTo(0, 0);
    expect(events.map(({ type }) => type)).toEqual(['toneOnset', 'release', 'end']);
  });

  it('knows when a steady tone fails, and by what', () => {
    const airy = play({ shape: 'steady', profile: { vibrato: { rateHz: 0.05, widthCents: 40 } } });
    expect(airy.measures.holdCause).toBe('pitch');
    // 40 sin(2 pi 0.05 t) leaves its median at 0.65 s (8.1 cents) by 10 cents at t = 1.49 s.
    expect(Math.abs((airy.measures.holdSeconds ?? 0) - 1.49)).toBeLessThan(0.15);
    expect(airy.measures.pitchSlopeCentsPer10Db).toBeNull();
    expect(airy.measures.peakOffsetBeats).toBeNull();
  });

  it('has written and sounding pitch right on every horn, high and low', () => {
    // Written D5 at A4 = 440 sounds C5, F4, C4, F3; F5, D4 and C3.
    for (const [hornId, hz] of [
      ['soprano', 523.25],
      ['alto', 349.23],
      ['tenor', 261.63],
      ['baritone', 174.61],
      ['sopranino', 698.46],
      ['cMelody', 293.66],
      ['bass', 130.81],
    ] as const) {
      const { measures, truth } = play({ hornId, note: 74, profile: { tendencyCents: 7 } });
      const sounding = truth.f0Hz[400] / 2 ** (7 / 1200);
      expect(Math.abs(sounding - hz)).toBeLessThan(0.01);
      expect(measures.centsMean).toBeCloseTo(7, 0);
    }
    expect(play({ hornId: 'baritone', note: 57, a4Hz: 390 }).measures.centsMean).toBeCloseTo(0, 0);
    // 46 Hz, lower than any other horn goes.
    expect(play({ hornId: 'bass', note: 58, a4Hz: 390 }).measures.centsMean).toBeCloseTo(0, 0);
  });

  it('judges a D5 that drops to its tube as a jump down to partial 1', () => {
    const { events } = play({
      note: 74,
      profile: { jumps: [{ atSeconds: 3, lengthSeconds: 0.4, toPartial: 1 }] },
    });
    expect(events.find(({ type }) => type === 'jump')).toMatchObject({ from: 2, to: 1 });
  });

  it('lets every phrase of a recording without a clock set its own beat', () => {
    const exercise = parseExercise({
      version: 3,
      tempoBpm: 120,
      beatsPerBar: 4,
      start: 'playToStart',
      rest: { kind: 'beats', beats: 2 },
      phrases: [67, 69].map((midi) => ({
        items: [
          { kind: 'note', writtenMidi: midi, lengthBeats: 2 },
          { kind: 'note', writtenMidi: midi - 2, lengthBeats: 2, attack: 'slurred' },
        ],
      })),
    });
    const { samples } = playExercise({
      exercise,
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      profile: STEADY_HAND,
      // The second phrase begins 0.7 s later than two beats of rest would have it.
      faults: [2, 3].map((item) => ({ item, kind: 'late', seconds: 0.7 }) as const),
      sampleRateHz: 24000,
      seed: 2,
      leadSeconds: 0.5,
      tailSeconds: 0.5,
    });
    const context = {
      exercise,
      hornId: 'alto',
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
    } as const;
    const judged = analyseTake(
      listenTo(samples, 24000),
      { ...context, roomFloorDb: null, beatZeroSeconds: null },
      [],
    );
    const offsets = judged?.items.map((item) => (item.kind === 'note' ? item.measures?.onsetOffsetMs : null));
    expect([offsets?.[0], offsets?.[2]]).toEqual([null, null]);
    for (const offset of [offsets?.[1], offsets?.[3]]) expect(Math.abs(offset ?? NaN)).toBeLessThan(40);
  });
});
