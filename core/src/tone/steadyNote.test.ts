import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listenTo } from '../hearing/index.ts';
import { frequencyHz, soundingMidi } from '../horn/index.ts';
import { createRandom } from '../signal/index.ts';
import { octaveWithin, steadyNote } from './steadyNote.ts';

const RATE_HZ = 48000;

/** A tone with eight harmonics whose pitch is a function of the time. */
function tone(seconds: number, hzAt: (seconds: number) => number): Float32Array<ArrayBuffer> {
  const samples = new Float32Array(Math.round(seconds * RATE_HZ));
  let phase = 0;
  for (let i = 0; i < samples.length; i++) {
    phase += (2 * Math.PI * hzAt(i / RATE_HZ)) / RATE_HZ;
    for (let n = 1; n <= 8; n++) samples[i] += (0.2 / n) * Math.sin(n * phase);
  }
  return samples;
}

const heard = (samples: Float32Array<ArrayBuffer>) => steadyNote(listenTo(samples, RATE_HZ), 440);

describe('a note that is meant', () => {
  it.each([46, 58, 65, 81])('is heard when it is held: %i', (midi) => {
    expect(heard(tone(1, () => frequencyHz(soundingMidi(midi), 440)))).toBe(midi);
  });
  it('is heard as the nearest where a voice is off by a third of a half step', () => {
    expect(heard(tone(1, () => frequencyHz(soundingMidi(60), 440) * 2 ** (33 / 1200)))).toBe(60);
  });
  it('is heard through a vibrato', () => {
    const hz = frequencyHz(soundingMidi(69), 440);
    expect(heard(tone(1.2, (at) => hz * 2 ** ((30 * Math.sin(2 * Math.PI * 5 * at)) / 1200)))).toBe(69);
  });
  it('is not heard in a glide, a step, a short note, silence or noise', () => {
    expect(heard(tone(1, (at) => 220 * 2 ** (at / 2)))).toBeNull();
    expect(heard(tone(1, (at) => (at < 0.7 ? 220 : 247)))).toBeNull();
    expect(heard(tone(0.3, () => 220))).toBeNull();
    expect(heard(new Float32Array(RATE_HZ))).toBeNull();
    const random = createRandom(7);
    expect(heard(new Float32Array(RATE_HZ).map(() => 0.2 * (random.uniform() - 0.5)))).toBeNull();
  });
});

describe('a note in the horn’s octave', () => {
  it('keeps its name and lies between the bounds', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 127 }), fc.integer({ min: 30, max: 80 }), (midi, least) => {
        const note = octaveWithin(midi, least, least + 11);
        expect(note).toBeGreaterThanOrEqual(least);
        expect(note).toBeLessThanOrEqual(least + 11);
        expect(Math.abs((note ?? 0) - midi) % 12).toBe(0);
      }),
    );
  });
  it('stays where it fits, and is none where no octave does', () => {
    expect(octaveWithin(60, 58, 89)).toBe(60);
    expect(octaveWithin(57, 58, 64)).toBeNull();
  });
});
