import { expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE, familyById, phraseExercise, type Exercise } from '../exercise/index.ts';
import { hornById, writtenMidi } from '../horn/index.ts';
import { FrameTrack } from '../hearing/index.ts';
import { STEADY_HAND } from '../simulated/index.ts';
import { all, clicks, hiss, hum, speech, type Disturb } from '../testing/disturbances.ts';
import { truthTrack } from '../testing/truthTrack.ts';
import { CLEAN_ROWS, runRow } from '../verdicts/index.ts';
import { adviceInPlace, analyseTake } from './index.ts';

// What is odd in an exercise or a take is judged as far as it goes, and never throws.

const swell = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 4,
  tempoBpm: 60,
  start: 'playToStart',
});
const withMarks = (dynamics: unknown): Exercise => ({
  ...swell,
  phrases: swell.phrases.map((phrase) => ({
    ...phrase,
    items: phrase.items.map((item) => ({ ...item, dynamics }) as typeof item),
  })),
});
const context = {
  hornId: 'alto' as const,
  a4Hz: 440,
  scale: DEFAULT_SCALE,
  toleranceId: 'usual' as const,
  roomFloorDb: null,
  beatZeroSeconds: null,
};
const played = truthTrack({
  exercise: swell,
  ...context,
  profile: STEADY_HAND,
  sampleRateHz: 24000,
  seed: 3,
  leadSeconds: 0.6,
  tailSeconds: 1,
});

it('judges a note whose marks cannot be read without its dynamics, and says so', () => {
  for (const dynamics of [
    [],
    undefined,
    [
      { beat: 4, mark: 'pp' },
      { beat: 2, mark: 'ff' },
    ],
    [{ beat: NaN, mark: 'pp' }],
  ]) {
    const analysis = analyseTake(played.track, { ...context, exercise: withMarks(dynamics) }, []);
    expect(analysis?.notJudged).toEqual(['dynamics']);
    expect(analysis?.verdict).toMatchObject({ judged: 1, asWritten: 1 });
  }
  expect(analyseTake(played.track, { ...context, exercise: swell }, [])?.notJudged).toEqual([]);
});

it('says of a take however short that it is too short, or nothing, and of no note a number that is none', () => {
  const columns = played.track.slice(0);
  for (let frames = 0; frames < 140; frames += 3) {
    const track = new FrameTrack(frames);
    for (let i = 0; i < frames; i++)
      track.append(
        columns.f0Hz[i],
        columns.clarity[i],
        columns.levelDb[i],
        columns.centroidHarmonics[i],
        columns.noiseToHarmonicDb[i],
        columns.airDb[i],
      );
    const analysis = analyseTake(track, { ...context, exercise: swell }, []);
    if (!analysis) continue;
    const text = JSON.stringify(analysis, (_, value: unknown) =>
      typeof value === 'number' && !Number.isFinite(value) ? 'no number' : value,
    );
    expect(text, `${frames} frames`).not.toContain('no number');
  }
});

it('advises what can be done there', () => {
  const horn = hornById('alto');
  const advised = (midi: number, beats: number, exercise: Exercise = swell) =>
    adviceInPlace('addABeat', {
      exercise,
      note: { writtenMidi: writtenMidi(midi), lengthBeats: beats },
      horn,
    });
  expect(advised(67, 8)).toBe('addABeat');
  expect(advised(horn.lowest, 8)).toBe('addTwoBeats');
  expect(advised(67, 16)).toBe('nextNoteDown');
  expect(advised(horn.lowest, 16)).toBe('onceMore');
  const air = familyById('airThenNote')?.build(horn) ?? swell;
  expect(advised(67, 8, phraseExercise(air, 0))).toBe('onceMore');
  expect(adviceInPlace('moveOn', { exercise: air, note: null, horn })).toBe('goOn');
  expect(adviceInPlace('softestThatSpeaks', { exercise: air, note: null, horn })).toBe('airFirst');
  const climb = familyById('overtoneClimb')?.build(horn) ?? swell;
  expect(adviceInPlace('startOnTheNote', { exercise: climb, note: null, horn })).toBe('voiceFirst');
  expect(adviceInPlace('moveOn', { exercise: climb, note: null, horn })).toBe('goOn');
  expect(
    adviceInPlace('shorterFirst', {
      exercise: swell,
      note: { writtenMidi: writtenMidi(67), lengthBeats: 2 },
      horn,
    }),
  ).toBe('fillTheNote');
});

it('makes no take of a sound in which nobody plays', () => {
  const alone =
    (disturb: Disturb): Disturb =>
    (samples, rate) =>
      all(hiss(45), disturb)(new Float32Array(samples.length), rate);
  const sounds: [string, Disturb][] = [
    ['silence', hiss(60)],
    ['speech', speech(0)],
    ['soft speech', speech(25, 9)],
    ['a metronome', clicks(-6)],
    ['the mains', hum(15)],
  ];
  // Where bare air is asked for any noise may be an answer.
  const rows = CLEAN_ROWS.filter(({ family }, i) => i % 15 === 5 && !family.startsWith('air'));
  expect(rows.length).toBeGreaterThan(3);
  for (const row of rows)
    for (const [name, disturb] of sounds)
      expect(runRow(row, 'additive', 7, alone(disturb)).analysis, `${name}, ${row.family}`).toBeNull();
});
