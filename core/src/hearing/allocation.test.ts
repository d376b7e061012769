import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { expect, it } from 'vitest';
import { createListener, FrameTrack } from './index.ts';

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

it('hears minute after minute without making garbage', () => {
  const listener = createListener({ sampleRateHz: 48000 });
  const track = new FrameTrack(4096);
  // 0.1 s holds 23 whole periods of 230 Hz.
  const block = Float32Array.from(
    { length: 4800 },
    (_, n) => 0.1 * Math.sin((2 * Math.PI * 230 * n) / 48000),
  );
  const hear = (seconds: number) => {
    for (let n = 0; n < seconds * 10; n++) listener.push(block, track);
  };
  hear(8);
  // Other tests share this process: what they leave to be done is not the listener's, so the best of three counts.
  const bytesPerFrame = Math.min(
    ...[1, 2, 3].map(() => {
      collect();
      const before = process.memoryUsage().heapUsed;
      const framesBefore = track.count;
      hear(8);
      return (process.memoryUsage().heapUsed - before) / (track.count - framesBefore);
    }),
  );
  // One small object is 40 bytes and one fresh spectrum 4000; numbers that the engine boxes are let pass.
  expect(bytesPerFrame).toBeLessThan(2000);
});
