import { expect, it } from 'vitest';
import { DEFAULT_SCALE } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { PROFILES, playNote, STEADY_HAND, type SimulatedProfile } from '../simulated/index.ts';
import { analyseRecording } from './index.ts';

function vibratoOf(soundingHz: number, profile: SimulatedProfile) {
  const { samples } = playNote({
    soundingHz,
    partial: 1,
    lengthSeconds: 3,
    secondsPerBeat: 1,
    levelDbAtBeat: () => -26,
    turnBeat: null,
    scale: DEFAULT_SCALE,
    profile,
    sampleRateHz: 48000,
    seed: 3,
    leadSeconds: 0.2,
    tailSeconds: 0.2,
  });
  const context = { hornId: 'alto', a4Hz: 440, fingered: null } as const;
  const { notes } = analyseRecording(listenTo(samples, 48000), context, []);
  expect(notes).toHaveLength(1);
  return notes[0].measures;
}

it('reads rate and width of a vibrato that was played, in the long and the short window', () => {
  for (const [soundingHz, rateHz, widthCents] of [
    [98, 4.3, 18],
    [233, 5, 25],
    [233, 2.8, 12],
    [466, 6.3, 40],
    [880, 7.8, 15],
  ]) {
    const played = { ...PROFILES.steady, vibrato: { rateHz, widthCents } };
    const { vibratoHz, vibratoCents, vibratoRegularity } = vibratoOf(soundingHz, played);
    expect(Math.abs((vibratoHz ?? 0) - rateHz), `${rateHz} Hz`).toBeLessThan(0.1);
    expect(Math.abs((vibratoCents ?? 0) - widthCents), `${widthCents} cents`).toBeLessThan(1.5);
    expect(vibratoRegularity).toBeGreaterThan(0.9);
  }
});

it('finds none in a straight tone, in one that wanders, and in one that bends', () => {
  for (const profile of [
    STEADY_HAND,
    { ...STEADY_HAND, jitterCents: 4 },
    {
      ...STEADY_HAND,
      swerve: { atSeconds: 0.5, overSeconds: 2, cents: 40, levelDb: 0, breathDb: 0 },
    },
  ])
    expect(vibratoOf(233, profile)).toMatchObject({
      vibratoHz: null,
      vibratoCents: null,
      vibratoRegularity: null,
    });
});
