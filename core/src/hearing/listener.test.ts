import { describe, expect, it } from 'vitest';
import { CoreError } from '../signal/index.ts';
import { playNote, STEADY_HAND, type SimulatedNote } from '../simulated/index.ts';
import { median, percentile } from '../stats/index.ts';
import { createListener, FrameTrack, listenTo } from './index.ts';

const scale = { floorDb: -46, ceilingDb: -16, source: 'assumed' } as const;

function steadyNote(change: Partial<SimulatedNote>): SimulatedNote {
  return {
    soundingHz: 233,
    partial: 1,
    lengthSeconds: 1,
    secondsPerBeat: 1,
    levelDbAtBeat: () => -24,
    turnBeat: null,
    scale,
    profile: STEADY_HAND,
    sampleRateHz: 48000,
    seed: 5,
    leadSeconds: 0.3,
    tailSeconds: 0.3,
    ...change,
  };
}

/** The sum of harmonics of such levels, in dB, at one phase of the fundamental, in radians; each with a phase of its own. */
const harmonics = (levelsDb: readonly number[], phase: number) =>
  levelsDb.reduce((sum, db, i) => sum + 10 ** (db / 20) * Math.sin((i + 1) * phase + i * i), 0);

/** Errors of a hearing against the simulated player's exact truth, away from the tone's edges. */
function compare(note: SimulatedNote) {
  const { samples, truth, sampleRateHz } = playNote(note);
  const track = listenTo(samples, sampleRateHz);
  const cents: number[] = [];
  const levels: number[] = [];
  const breath: number[] = [];
  let missed = 0;
  let falsePitch = 0;
  for (let i = 0; i < track.count; i++) {
    const seconds = i / 100;
    const f0Hz = track.columns.f0Hz[i];
    const inside = seconds > truth.toneOnsetSeconds + 0.1 && seconds < truth.toneEndSeconds - 0.1;
    const outside = seconds < truth.toneOnsetSeconds - 0.07 || seconds > truth.toneEndSeconds + 0.07;
    if (outside && !Number.isNaN(f0Hz)) falsePitch++;
    if (!inside) continue;
    if (Number.isNaN(f0Hz)) missed++;
    else cents.push(Math.abs(1200 * Math.log2(f0Hz / truth.f0Hz[i])));
    levels.push(Math.abs(track.columns.levelDb[i] - truth.levelDb[i]));
    breath.push(track.columns.noiseToHarmonicDb[i]);
  }
  return {
    missed,
    falsePitch,
    cents95: percentile(cents, 95) ?? Infinity,
    level95: percentile(levels, 95) ?? Infinity,
    noiseToHarmonicDb: median(breath) ?? NaN,
  };
}

describe('the listener against exact truth', () => {
  // A player does not notice 0.5 cents; octave errors, which a wrong tracker makes, are 1200.
  for (const sampleRateHz of [44100, 48000, 96000])
    it(`hears a bass's lowest note to a sopranino's highest at ${sampleRateHz} Hz`, () => {
      for (const soundingHz of [46, 51.9, 61.5, 97, 138.6, 233, 466, 1047, 2637, 2985]) {
        const { missed, falsePitch, cents95, level95 } = compare(steadyNote({ soundingHz, sampleRateHz }));
        expect({ soundingHz, missed, falsePitch }).toEqual({ soundingHz, missed: 0, falsePitch: 0 });
        expect(cents95).toBeLessThan(0.5);
        // A window holds few periods of the lowest.
        expect(level95).toBeLessThan(soundingHz < 50 ? 0.35 : 0.3);
      }
    });

  it('keeps pitch, level and breath true on an airy tone', () => {
    for (const noiseToHarmonicDb of [-20, -10, -5]) {
      const profile = { ...STEADY_HAND, breathDbSoft: noiseToHarmonicDb, breathDbLoud: noiseToHarmonicDb };
      const heard = compare(steadyNote({ soundingHz: 311, profile }));
      expect(heard.missed).toBe(0);
      expect(heard.cents95).toBeLessThan(2.5);
      expect(Math.abs(heard.noiseToHarmonicDb - noiseToHarmonicDb)).toBeLessThan(1.5);
    }
  });

  it('reads a full-scale sine as -3.01 dBFS with clarity 1 and one harmonic', () => {
    const samples = Float32Array.from({ length: 48000 }, (_, n) => Math.sin((2 * Math.PI * 440 * n) / 48000));
    const { columns } = listenTo(samples, 48000);
    expect(columns.levelDb[50]).toBeCloseTo(-3.01, 1);
    expect(columns.clarity[50]).toBeGreaterThan(0.99);
    expect(columns.centroidHarmonics[50]).toBeCloseTo(1, 2);
    expect(1200 * Math.log2(columns.f0Hz[50] / 440)).toBeCloseTo(0, 1);
  });

  it('follows the period where the fundamental itself is missing', () => {
    const samples = Float32Array.from({ length: 48000 }, (_, n) => {
      const phase = (2 * Math.PI * 138.6 * n) / 48000;
      return [2, 3, 4, 5, 6].reduce((sum, k) => sum + 0.08 * Math.sin(k * phase), 0);
    });
    const { columns } = listenTo(samples, 48000);
    expect(1200 * Math.log2(columns.f0Hz[50] / 138.6)).toBeCloseTo(0, 0);
  });

  it('follows a vibrato to its full width, in the long and the short window', () => {
    for (const hz of [98, 233, 740]) {
      const hzAt = (seconds: number) => hz * 2 ** ((25 / 1200) * Math.sin(2 * Math.PI * 5 * seconds));
      let phase = 0;
      const samples = Float32Array.from({ length: 48000 }, (_, n) => {
        // The frequency half-way to the next sample carries the phase there exactly enough.
        phase += (2 * Math.PI * hzAt((n - 0.5) / 48000)) / 48000;
        return [1, 2, 3, 4, 5].reduce((sum, k) => sum + (0.05 / k) * Math.sin(k * phase), 0);
      });
      const { columns } = listenTo(samples, 48000);
      const errors = Array.from({ length: 70 }, (_, i) => i + 15).map((frame) =>
        Math.abs(1200 * Math.log2(columns.f0Hz[frame] / hzAt(frame / 100))),
      );
      // Without the correction the window flattens the tops by 0.6 cents, in the long one by 2.2.
      expect(Math.max(...errors), `${hz} Hz`).toBeLessThan(hz < 115 ? 1 : 0.35);
    }
  });

  it('gives the same frames however the sound is cut into pushes', () => {
    for (const [sampleRateHz, piece] of [
      [8000, 160],
      [44100, 31],
      [48000, 333],
    ]) {
      const { samples } = playNote(steadyNote({ lengthSeconds: 0.6, sampleRateHz }));
      const whole = listenTo(samples, sampleRateHz);
      const track = new FrameTrack(8);
      const listener = createListener({ sampleRateHz });
      for (let n = 0; n < samples.length; n += piece) listener.push(samples.subarray(n, n + piece), track);
      listener.finish(track);
      expect(track.count).toBe(whole.count);
      expect(track.slice(0)).toEqual(whole.slice(0));
    }
  });

  it('tells a frame 45 ms after its middle, and 70 ms after it under 115 Hz; between that and the octave above, one in twelve', () => {
    for (const soundingHz of [98, 138.6, 233.1, 466]) {
      const { samples } = playNote(steadyNote({ soundingHz }));
      const listener = createListener({ sampleRateHz: 48000 });
      const track = new FrameTrack();
      const lateMs: number[] = [];
      for (let n = 0; n < samples.length; n += 48) {
        const before = track.count;
        listener.push(samples.subarray(n, n + 48), track);
        // Settled tone: an onset takes as long as a low note.
        for (let i = before; i < track.count; i++) if (i > 45 && i < 125) lateMs.push(n / 48 - 10 * i);
      }
      const late = lateMs.filter((ms) => ms > 45).length / lateMs.length;
      expect(Math.max(...lateMs), `${soundingHz} Hz`).toBeLessThanOrEqual(soundingHz < 242 ? 70 : 45);
      // A frame that waits makes the two after it wait too.
      if (soundingHz > 115) expect(late, `${soundingHz} Hz`).toBeLessThan(0.3);
    }
  });

  it('hears a low note at its pitch whose attack holds nothing but even harmonics', () => {
    for (const hz of [58.27, 65.41, 92.5])
      for (const silentSeconds of [0, 0.06, 0.15, 0.4])
        for (const oddDb of [-3, -9]) {
          const samples = Float32Array.from({ length: 72000 }, (_, n) => {
            const seconds = n / 48000;
            const odd = 10 ** (oddDb / 20) * Math.max(0, Math.min(1, (seconds - silentSeconds) / 0.03));
            let sum = 0;
            for (let k = 1; k <= 24; k++)
              sum +=
                ((k % 2 === 0 ? 1 : odd) / Math.sqrt(k)) * Math.sin(2 * Math.PI * k * hz * seconds + k * k);
            return 0.03 * Math.min(1, seconds / 0.02) * sum;
          });
          const { columns } = listenTo(samples, 48000);
          // From a tenth of a second on after all its harmonics are there.
          const settled = Array.from(columns.f0Hz.slice(Math.round(100 * silentSeconds) + 13, 140));
          const gross = settled.filter((f0Hz) => Math.abs(1200 * Math.log2(f0Hz / hz)) > 60);
          // Where both octaves are nearly as good the change may wait for the next look.
          expect(gross.length, `${hz} Hz, ${silentSeconds} s, ${oddDb} dB`).toBeLessThanOrEqual(6);
        }
  });

  it('hears the fundamental of a tone whose third, sixth and ninth harmonics stand out, and the twelfth where they are alone', () => {
    // As a reed and bore of another make sound: level of harmonics 1-12 in dB.
    const rich = [-12, -22, -10, -39, -57, -24, -18, -33, -34, -56, -48, -23];
    const overblown = rich.map((db, i) => ((i + 1) % 3 === 0 ? db : db - 25));
    for (const hz of [123.15, 174.6, 233, 311])
      for (const [levels, times] of [
        [rich, 1],
        [overblown, 3],
      ] as const) {
        const samples = Float32Array.from({ length: 48000 }, (_, n) =>
          harmonics(levels, (2 * Math.PI * hz * n) / 48000),
        );
        const { columns } = listenTo(samples, 48000);
        const settled = Array.from(columns.f0Hz.slice(10, 90));
        const far = settled.filter((f0Hz) => Math.abs(1200 * Math.log2(f0Hz / (times * hz))) > 60);
        expect(far.length, `${hz} Hz, ${times}`).toBeLessThanOrEqual(2);
      }
  });

  it('stays with a tone whose fundamental a room swallows for a while, and leaves it where another one begins', () => {
    const rateHz = 16000;
    // Harmonics 1-12 in dB, rich in every third, or in every second.
    const thirds = [-12, -22, -10, -39, -40, -24, -18, -33, -34, -40, -40, -23];
    const seconds = [-8, -6, -22, -10, -26, -14, -30, -20, -34, -24, -40, -28];
    const roomDb = (t: number) => -12 * Math.max(0, Math.min(1, (t - 0.4) / 0.1, (1.1 - t) / 0.1));
    for (const [levels, times] of [
      [thirds, 3],
      [seconds, 2],
    ] as const)
      for (const hz of [131, 196, 262, 392])
        for (const isSlip of [false, true]) {
          const samples = Float32Array.from({ length: 1.3 * rateHz }, (_, n) => {
            const t = n / rateHz;
            // What a slip leaves behind dies away in the room; what it comes to is louder than it was.
            const slipped = Math.max(0, t - 0.5);
            const commonDb = isSlip ? 8 * Math.min(1, slipped / 0.02) : 0;
            const ownDb = isSlip ? -67 * slipped : roomDb(t);
            return harmonics(
              levels.map((db, i) => db - 12 + ((i + 1) % times === 0 ? commonDb : ownDb)),
              2 * Math.PI * hz * t,
            );
          });
          const { columns } = listenTo(samples, rateHz);
          const isAt = (wanted: number) => (f0Hz: number) => Math.abs(1200 * Math.log2(f0Hz / wanted)) < 60;
          const name = `${hz} Hz, ${times}, ${isSlip ? 'slips' : 'stays'}`;
          const before = Array.from(columns.f0Hz.slice(15, 45));
          const after = Array.from(columns.f0Hz.slice(isSlip ? 62 : 45, 120));
          expect(before.filter(isAt(hz)).length, name).toBe(30);
          expect(after.filter(isAt(isSlip ? times * hz : hz)).length, name).toBe(after.length);
        }
  });

  it('does not hold two notes a fifth apart, that ring together in a hall, as their common fundamental', () => {
    const rateHz = 16000;
    const tone = (f0Hz: number, t: number) =>
      harmonics([-18, -22, -26, -32, -38, -44], 2 * Math.PI * f0Hz * t);
    for (const hz of [98, 131, 196]) {
      const samples = Float32Array.from({ length: 1.5 * rateHz }, (_, n) => {
        const t = n / rateHz;
        const before = t < 0.5 ? 1 : 10 ** ((-33 * (t - 0.5)) / 20);
        return before * tone(3 * hz, t) + Math.max(0, Math.min(1, (t - 0.5) / 0.02)) * tone(2 * hz, t);
      });
      const { columns } = listenTo(samples, rateHz);
      const late = Array.from(columns.f0Hz.slice(105, 140));
      expect(late.filter((f0Hz) => Math.abs(f0Hz / (2 * hz) - 1) < 0.03).length, `${hz} Hz`).toBe(35);
    }
  });

  it('does not take the hum of the mains for the first two harmonics of a tone a twelfth under a low note', () => {
    const rateHz = 16000;
    const low = [-10, -3, 0, -2, -4, -6, -8, -10];
    for (const hz of [139, 143, 147, 156, 160, 165, 175, 185])
      for (const humDb of [-14, -22])
        for (const mainsHz of [50, 60]) {
          const samples = Float32Array.from({ length: 0.7 * rateHz }, (_, n) => {
            const turn = (2 * Math.PI * n) / rateHz;
            const tone = n < 0.1 * rateHz ? 0 : 1;
            const hum = [1, 2, 3, 4, 5, 6].reduce(
              (sum, k) => sum + Math.sin(k * mainsHz * turn + k * k) / (k % 2 === 1 ? k : 2 * k),
              0,
            );
            return tone * harmonics(low, hz * turn) + 10 ** (humDb / 20) * hum;
          });
          const { columns } = listenTo(samples, rateHz);
          const far = Array.from(columns.f0Hz.slice(18, 62)).filter(
            (f0Hz) => !(Math.abs(1200 * Math.log2(f0Hz / hz)) < 60),
          );
          expect(far.length, `${hz} Hz, hum of ${mainsHz} Hz ${-humDb} dB under`).toBe(0);
        }
  });

  it('lets an expected tube break a tie and nothing else, and then tells both', () => {
    // Every second harmonic weaker and weaker, until 220 Hz becomes 440.
    const heard = (odd: number, expectedTubeHz: number | null) => {
      const samples = Float32Array.from({ length: 24000 }, (_, n) => {
        const phase = (2 * Math.PI * 220 * n) / 48000;
        return [1, 2, 3, 4, 5, 6, 7, 8].reduce(
          (sum, k) => sum + ((k % 2 === 0 ? 0.1 : odd) / k) * Math.sin(k * phase + k),
          0,
        );
      });
      const { columns } = listenTo(samples, 48000, expectedTubeHz);
      return [columns.f0Hz[25], columns.unaidedHz[25]].map((hz) => Math.round(hz));
    };
    let [octave, tone] = [1e-6, 0.1];
    while (tone / octave > 1.02) {
      const middle = Math.sqrt(tone * octave);
      if (heard(middle, null)[0] === 220) tone = middle;
      else octave = middle;
    }
    expect(heard(tone, 440)).toEqual([440, 220]);
    // 440 Hz is a partial of that tube as well: no reason to change.
    expect(heard(octave, 220)).toEqual([440, NaN]);
    expect(heard(10 * tone, 440)).toEqual([220, NaN]);
  });

  it('refuses samples that are not numbers before using any of them', () => {
    const listener = createListener({ sampleRateHz: 48000 });
    const track = new FrameTrack();
    expect(() => listener.push(Float32Array.of(0, NaN), track)).toThrowError(CoreError);
    expect(() => createListener({ sampleRateHz: 47.5 })).toThrowError(/8000-192000 Hz/);
  });

  it('hears nothing in silence and in noise', () => {
    expect(listenTo(new Float32Array(24000), 48000).columns.f0Hz.slice(0, 40).every(Number.isNaN)).toBe(true);
    let state = 1;
    const noise = Float32Array.from({ length: 96000 }, () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return (state / 4294967296 - 0.5) * 0.1;
    });
    const { columns, count } = listenTo(noise, 48000);
    const voiced = columns.f0Hz.subarray(0, count).filter((f0Hz) => !Number.isNaN(f0Hz)).length;
    expect(voiced / count).toBeLessThan(0.05);
  });
});
