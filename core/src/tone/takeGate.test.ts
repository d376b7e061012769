import { expect, it } from 'vitest';
import { FrameTrack } from '../hearing/index.ts';
import { createSoundWatch, createTakeGate, type GateMove } from './index.ts';

/** Frames written by hand: seconds of a pitch (null: room noise) at a level. */
function frames(...parts: [seconds: number, f0Hz: number | null, levelDb: number][]): FrameTrack {
  const track = new FrameTrack();
  for (const [seconds, f0Hz, levelDb] of parts)
    for (let i = 0; i < Math.round(seconds * 100); i++)
      track.append(f0Hz ?? NaN, f0Hz === null ? 0.1 : 0.95, levelDb, NaN, NaN);
  return track;
}

function moves(track: FrameTrack, roomFloorDb: number | null, afterSilence = false): GateMove[] {
  const gate = createTakeGate({
    startHz: [233],
    roomFloorDb,
    silenceSeconds: () => 1,
    maxSeconds: 30,
    patienceSeconds: 9,
    afterSilence,
  });
  return Array.from({ length: track.count }, (_, i) => gate.look(track, i)).filter((move) => move !== null);
}

it('starts with the note, not with another one or with hum under the floor, and ends after silence', () => {
  const track = frames(
    [1, null, -70],
    [1, 300, -30],
    [0.5, 233, -62],
    [0.05, 233, -30],
    [1, null, -70],
    [2, 231, -30],
    [2, null, -70],
  );
  expect(moves(track, -65)).toEqual([
    { type: 'start', startFrame: 355 },
    { type: 'end', frame: 654 },
  ]);
});

it('does not take the rest of the last note for a new one', () => {
  const track = frames([2, 233, -30], [0.4, null, -70], [1, 233, -30]);
  expect(moves(track, -70, true)).toEqual([{ type: 'start', startFrame: 240 }]);
});

it('finds its own floor in a room that was never measured', () => {
  const [start] = moves(frames([1, null, -40], [1, 233, -36], [1, 233, -20], [2, null, -40]), null);
  expect(start).toMatchObject({ type: 'start' });
});

it('tells silence, clipping and a loud room once each', () => {
  const watch = createSoundWatch(-45);
  const told = (track: FrameTrack) =>
    Array.from({ length: track.count }, (_, i) => watch.lookAtFrame(track, i)).filter(
      (trouble) => trouble !== null,
    );
  expect(told(frames([9, null, -120]))).toEqual(['silence']);
  expect(told(frames([2, 233, -20], [4, null, -40]))).toEqual([]);
  expect(told(frames([2, 233, -20], [6, null, -40]))).toEqual(['noisyRoom']);
  expect(watch.lookAtSamples(Float32Array.of(0.2, 1, 1, 1))).toBe('clipping');
  expect(watch.lookAtSamples(Float32Array.of(1, 1, 1))).toBeNull();
  watch.reset();
  expect(watch.lookAtSamples(Float32Array.of(1, 0, 1, 0, 1))).toBeNull();
});
