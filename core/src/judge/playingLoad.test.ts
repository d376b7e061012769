import { expect, it } from 'vitest';
import {
  buildSwell,
  cautionsOf,
  DEFAULT_SCALE,
  dueCautions,
  familyById,
  levelAtFraction,
  markFraction,
  cautionsFor,
} from '../exercise/index.ts';
import { FrameTrack } from '../hearing/index.ts';
import { frequencyHz, hornById, toSounding, writtenMidi } from '../horn/index.ts';
import { playingLoadOf } from './index.ts';

/** Frames of one pitch (null: silence) at a mark of the scale. */
function append(track: FrameTrack, midi: number | null, mark: 'p' | 'ff', seconds: number) {
  const hz = midi === null ? NaN : frequencyHz(toSounding(writtenMidi(midi), hornById('tenor')), 440);
  for (let i = 0; i < 100 * seconds; i++)
    track.append(hz, 1, levelAtFraction(markFraction(mark), DEFAULT_SCALE), NaN, NaN);
}

it('counts what was played, played high and played loud, by the note that is written', () => {
  const track = new FrameTrack();
  append(track, null, 'ff', 2);
  append(track, 85, 'p', 3);
  append(track, 86, 'p', 4);
  append(track, 98, 'ff', 1);
  append(track, 60, 'ff', 5);
  const playingLoad = playingLoadOf(track, { hornId: 'tenor', a4Hz: 440, scale: DEFAULT_SCALE });
  expect(playingLoad.playedSeconds).toBeCloseTo(13, 6);
  expect(playingLoad.highSeconds).toBeCloseTo(5, 6);
  expect(playingLoad.loudSeconds).toBeCloseTo(6, 6);
});

it('tells ear and throat anew each day, the rest once, and only where it applies', () => {
  const high = familyById('highTries')?.build(hornById('alto'));
  if (!high) throw new Error('no family');
  const morning = new Date(2026, 2, 14, 7, 30).getTime();
  const hour = 3600_000;
  expect(cautionsOf(high)).toEqual(['hearing', 'throat']);
  expect(dueCautions(high, {}, morning)).toEqual(['hearing', 'throat']);
  const read = { hearing: morning, throat: morning - 9 * hour };
  expect(dueCautions(high, read, morning + 10 * hour)).toEqual(['throat']);
  expect(dueCautions(high, read, morning + 20 * hour)).toEqual(['hearing', 'throat']);
  expect(cautionsFor(high)).toEqual(['high']);

  const swell = buildSwell({
    note: writtenMidi(67),
    shape: 'growFade',
    beats: 16,
    tempoBpm: 60,
    start: 'countIn',
  });
  expect(cautionsFor(swell)).toEqual(['loud']);
  const air = familyById('airThenNote')?.build(hornById('alto'));
  if (!air) throw new Error('no family');
  expect(dueCautions(air, { dizziness: morning - 100 * 24 * hour }, morning)).not.toContain('dizziness');
});
