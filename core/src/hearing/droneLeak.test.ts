import { expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { droneLeakDb, droneSpoils } from './index.ts';

it('measures a drone beside the hiss of the room, and asks for headphones 6 dB over it', () => {
  const random = createRandom(3);
  const room = Float32Array.from({ length: 24000 }, () => 10 ** (-60 / 20) * random.normal());
  const drone = (gain: number) =>
    room.map(
      (value, n) =>
        value +
        gain *
          (Math.sin((2 * Math.PI * 220 * n) / 48000) + 0.5 * Math.sin((2 * Math.PI * 440 * n) / 48000 + 1)),
    );
  // 0.01 and 0.005 together: -42.04 dBFS.
  const leakDb = (samples: Float32Array) => droneLeakDb(samples, 48000, [220, 440]) ?? NaN;
  expect(leakDb(drone(0.01))).toBeCloseTo(-42.04, 1);
  expect(droneSpoils(leakDb(drone(0.01)), -60)).toBe(true);
  expect(droneSpoils(leakDb(room), -60)).toBe(false);
  // A microphone that is still opening says nothing about the drone.
  expect(droneLeakDb(drone(0.01).fill(0, 0, 4800), 48000, [220, 440])).toBeNull();
});
