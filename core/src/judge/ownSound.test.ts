import { expect, it } from 'vitest';
import { DEFAULT_SCALE, scoreOf } from '../exercise/index.ts';
import { FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import { levelNotes } from '../testing/levelNotes.ts';
import { playersFrames } from './playersFrames.ts';
import { roomBetween, withoutRoomNoise } from './withoutRoomNoise.ts';
import { withoutTubeNoise } from './withoutTubeNoise.ts';
import { withoutTails } from './withoutTails.ts';

interface Stretch {
  frames: number;
  /** NaN: no pitch. */
  hz: number;
  /** At its beginning; it falls by so much a frame. */
  levelDb: number;
  fallDb?: number;
  noiseToHarmonicDb?: number;
}

/** A take of such stretches, one after the other; a tone has all of its power in its second and third harmonic, half each. */
function trackOf(...stretches: readonly Stretch[]): FrameTrack {
  const track = new FrameTrack();
  for (const { frames, hz, levelDb, fallDb = 0, noiseToHarmonicDb = -30 } of stretches)
    for (let i = 0; i < frames; i++) {
      const level = levelDb - fallDb * i;
      const isTone = !Number.isNaN(hz);
      const partials = new Float64Array(MAX_PARTIAL).fill(NaN);
      if (isTone) partials.fill(level - 10 * Math.log10(2), 1, 3);
      track.append(
        hz,
        isTone ? 1 : 0,
        level,
        2.5,
        isTone ? noiseToHarmonicDb : NaN,
        isTone ? NaN : level - 1,
        partials,
      );
    }
  return track;
}

const silence = (frames: number, levelDb = -80): Stretch => ({ frames, hz: NaN, levelDb });
const SOUNDING_HZ = 261.63;
const tone = (frames: number, levelDb = -28): Stretch => ({ frames, hz: SOUNDING_HZ, levelDb });

/** One note, A4 on the alto: it sounds C4. */
const exercise = levelNotes('mf', [{ writtenMidi: 69, lengthBeats: 4 }]);
const CONTEXT = { exercise, hornId: 'alto', a4Hz: 440, scale: DEFAULT_SCALE } as const;
const ownOf = (track: FrameTrack) => playersFrames(track, scoreOf(exercise), CONTEXT);
const pitched = ({ columns, count }: FrameTrack) =>
  Array.from(columns.f0Hz.subarray(0, count)).flatMap((hz, i) => (Number.isNaN(hz) ? [] : [i]));

it('takes the pitch of a neighbour out, and leaves the track as it is where there is none', () => {
  const neighbour = { frames: 40, hz: 340, levelDb: -56 };
  const beside = ownOf(trackOf(neighbour, silence(20), tone(200), silence(20), neighbour));
  expect(beside.hasOthers).toBe(true);
  expect(pitched(beside.track)).toEqual(Array.from({ length: 200 }, (_, i) => 60 + i));
  const alone = trackOf(silence(50), tone(200), silence(50));
  expect(ownOf(alone)).toEqual({ track: alone, hasOthers: false, othersDb: null });
  expect(ownOf(alone).track).toBe(alone);
});

it('takes a wrong note, an overblown one and a slide for the player, however they sound', () => {
  for (const hz of [340, 2 * SOUNDING_HZ, 290]) {
    const track = trackOf(silence(50), { frames: 30, hz, levelDb: -30 }, tone(200), silence(50));
    expect(pitched(ownOf(track).track), `${hz} Hz`).toHaveLength(230);
  }
  // Softly too, between two tones that are as soft.
  const between = trackOf(tone(150), tone(20, -42), { frames: 3, hz: 300, levelDb: -43 }, tone(40, -42));
  expect(pitched(ownOf(between).track)).toHaveLength(213);
});

it('knows a drone by standing there before the player does, at a pitch that is asked for too', () => {
  const drone = { frames: 60, hz: 2 * SOUNDING_HZ, levelDb: -56 };
  const { track, hasOthers } = ownOf(trackOf(drone, tone(200), drone));
  expect(hasOthers).toBe(true);
  expect(pitched(track)).toEqual(Array.from({ length: 200 }, (_, i) => 60 + i));
});

it('tells how fast a room lets a sound sink, and where the tone itself ended', () => {
  for (const dbPerSecond of [35, 80, 170]) {
    const ringing = { ...tone(Math.round(5000 / dbPerSecond)), fallDb: dbPerSecond / 100 };
    const { track, roomDecayDbPerSecond } = withoutTails(
      trackOf(silence(50), tone(200), ringing, silence(80)),
    );
    expect(roomDecayDbPerSecond).toBeGreaterThan(0.9 * dbPerSecond);
    expect(roomDecayDbPerSecond).toBeLessThan(1.1 * dbPerSecond);
    const last = pitched(track).at(-1) ?? 0;
    // It is told from 4 dB on.
    expect(last - 250, `${dbPerSecond} dB/s`).toBeGreaterThanOrEqual(-1);
    expect(last - 250, `${dbPerSecond} dB/s`).toBeLessThanOrEqual(Math.ceil(400 / dbPerSecond) + 1);
  }
});

it('leaves a dry take alone, a note that dies away in it too, and a written fade', () => {
  const dry = trackOf(silence(50), tone(200), silence(80));
  expect(withoutTails(dry)).toEqual({ track: dry, roomDecayDbPerSecond: null });
  const tapered = trackOf(silence(50), tone(200), { ...tone(80), fallDb: 0.3 }, silence(80));
  expect(withoutTails(tapered).track).toBe(tapered);
  const fade = trackOf(silence(50), { ...tone(300), fallDb: 0.06 }, silence(80));
  expect(withoutTails(fade).track).toBe(fade);
});

it('takes the noise of the room out of the breath, and says nothing where that is most of it', () => {
  // Noise at -50 dBFS beside tones: the breath of the first is 3 dB over it, that of the second as much, that of the third far over.
  const breathy = (levelDb: number, breathDb: number) => ({
    ...tone(100, levelDb),
    noiseToHarmonicDb: breathDb - levelDb,
  });
  const room = silence(150, -50);
  const track = trackOf(room, breathy(-40, -46), breathy(-40, -50), breathy(-28, -30), room);
  const between = roomBetween(track, false, false);
  expect(between?.noiseDb).toBeCloseTo(-50, 1);
  const { columns } = withoutRoomNoise(track, between?.noiseDb ?? 0, false);
  const less = (db: number) => 10 * Math.log10(10 ** (db / 10) - 10 ** -5);
  expect(columns.noiseToHarmonicDb[200]).toBeCloseTo(less(-46) + 40, 1);
  expect(columns.noiseToHarmonicDb[300]).toBeNaN();
  expect(columns.noiseToHarmonicDb[400]).toBeCloseTo(-2, 1);
  expect(roomBetween(trackOf(tone(300)), false, false)).toBeNull();
});

it('takes breath that resonates in the tube for air, before a tone and after it', () => {
  const breath = { frames: 40, hz: SOUNDING_HZ, levelDb: -58, noiseToHarmonicDb: -6 };
  const heard = withoutTubeNoise(trackOf(silence(50), breath, tone(200), breath, silence(50)));
  expect(pitched(heard)).toEqual(Array.from({ length: 200 }, (_, i) => 90 + i));
  // A fifth of its power and more is air.
  expect(heard.columns.airDb[60]).toBeGreaterThan(-66);
  // A soft beginning that is clear is the player's, and so is a short one.
  const soft = trackOf(silence(50), { ...breath, noiseToHarmonicDb: -30 }, tone(200));
  expect(withoutTubeNoise(soft)).toBe(soft);
  const short = trackOf(silence(50), { ...breath, frames: 4 }, tone(200));
  expect(withoutTubeNoise(short)).toBe(short);
});
