import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { playExercise, WARM_UP } from '../simulated/index.ts';
import {
  decodeWav,
  encodeWav,
  framesFromBytes,
  framesToBytes,
  framesToCsv,
  packFrames,
  packTake,
  unpackFrames,
  type TakeDocument,
} from './index.ts';

const samples = Float32Array.from({ length: 1000 }, (_, n) => Math.sin(n / 7) / 3);

/** A RIFF file from chunks, padded as the format wants. */
function riff(...chunks: [name: string, body: Uint8Array][]): Uint8Array {
  const parts = chunks.map(([name, body]) => {
    const chunk = new Uint8Array(8 + body.length + (body.length % 2));
    chunk.set(Buffer.from(name, 'latin1'));
    new DataView(chunk.buffer).setUint32(4, body.length, true);
    chunk.set(body, 8);
    return chunk;
  });
  const head = new Uint8Array(12);
  head.set(Buffer.from('RIFF\0\0\0\0WAVE', 'latin1'));
  return Uint8Array.from(Buffer.concat([head, ...parts]));
}

function format(
  coding: number,
  channels: number,
  rate: number,
  bits: number,
  extensible = false,
): Uint8Array {
  const view = new DataView(new ArrayBuffer(extensible ? 40 : 16));
  view.setUint16(0, extensible ? 0xfffe : coding, true);
  view.setUint16(2, channels, true);
  view.setUint32(4, rate, true);
  view.setUint32(8, (rate * channels * bits) / 8, true);
  view.setUint16(12, (channels * bits) / 8, true);
  view.setUint16(14, bits, true);
  if (extensible) view.setUint16(24, coding, true);
  return new Uint8Array(view.buffer);
}

/** Whole-numbered samples of any depth, little-endian, channel by channel in each frame. */
function pcm(bits: number, ...channels: number[][]): Uint8Array {
  const bytes: number[] = [];
  for (const n of channels[0].keys())
    for (const channel of channels)
      for (let b = 0; b < bits; b += 8)
        bytes.push((Math.round(channel[n] * (2 ** (bits - 1) - 1)) >> b) & 255);
  return Uint8Array.from(bytes);
}

const refusal = (bytes: Uint8Array): string => {
  try {
    decodeWav(bytes);
  } catch (error) {
    return (error as Error).message;
  }
  return 'read';
};

describe('WAV', () => {
  it('keeps every sample of a take', async () => {
    expect(decodeWav(await encodeWav({ sampleRateHz: 44100, samples }))).toEqual({
      sampleRateHz: 44100,
      samples,
    });
    const rough = decodeWav(await encodeWav({ sampleRateHz: 48000, samples }, 16));
    rough.samples.forEach((sample, n) => expect(Math.abs(sample - samples[n])).toBeLessThan(1 / 32000));
  });

  it('reads 16, 24 and 32 bits, mixes channels, and passes over chunks it does not know', () => {
    const left = Array.from(samples);
    const right = left.map((sample) => -sample / 2);
    for (const bits of [16, 24, 32])
      for (const extensible of [false, true]) {
        const file = riff(
          ['LIST', new Uint8Array(7)],
          ['fmt ', format(1, 2, 22050, bits, extensible)],
          ['fact', new Uint8Array(5)],
          ['data', pcm(bits, left, right)],
          ['tail', new Uint8Array(3)],
        );
        const { sampleRateHz, samples: mixed } = decodeWav(file);
        expect(sampleRateHz).toBe(22050);
        expect(mixed).toHaveLength(1000);
        mixed.forEach((sample, n) => expect(Math.abs(sample - samples[n] / 4)).toBeLessThan(1 / 32000));
      }
  });

  describe('of recorders that did not know how long it would be', () => {
    const body = pcm(16, [0.5, -0.25, 0.125]);
    const head = riff(['fmt ', format(1, 1, 48000, 16)]);
    /** A data chunk that says it is so long. */
    const data = (says: number) => {
      const chunk = Buffer.alloc(8);
      chunk.write('data', 'latin1');
      chunk.writeUInt32LE(says, 4);
      return chunk;
    };
    const rf64 = (says: bigint) => {
      const sizes = Buffer.alloc(28);
      sizes.writeBigUInt64LE(says, 8);
      const file = Buffer.from(
        Buffer.concat([riff(['ds64', sizes], ['fmt ', format(1, 1, 48000, 16)]), data(0xffffffff), body]),
      );
      file.write('RF64', 'latin1');
      return Uint8Array.from(file);
    };
    const wanted = [0.5, -0.25, 0.125];

    it.each([
      ['streamed: all ones', Uint8Array.from(Buffer.concat([head, data(0xffffffff), body]))],
      ['streamed: nearly all ones', Uint8Array.from(Buffer.concat([head, data(0xffffff00), body]))],
      ['crashed: nothing', Uint8Array.from(Buffer.concat([head, data(0), body]))],
      [
        'crashed: nothing, half a sample at the end',
        Uint8Array.from(Buffer.concat([head, data(0), body, Buffer.from([7])])),
      ],
      ['over four gigabytes may be: RF64', rf64(6n)],
      ['RF64 that was not finished', rf64(0n)],
    ])('%s', (_, file) => {
      const { samples: read, sampleRateHz } = decodeWav(file);
      expect(sampleRateHz).toBe(48000);
      expect(read).toHaveLength(3);
      for (const [n, value] of wanted.entries()) expect(read[n]).toBeCloseTo(value, 3);
    });

    it('an empty one stays empty, and what follows is no sound', () => {
      expect(refusal(riff(['fmt ', format(1, 1, 48000, 16)], ['data', new Uint8Array(0)]))).toContain(
        'no sound',
      );
      expect(
        refusal(
          riff(['fmt ', format(1, 1, 48000, 16)], ['data', new Uint8Array(0)], ['LIST', new Uint8Array(12)]),
        ),
      ).toContain('no sound');
    });

    it('a promise that is kept in part is told as it was', () => {
      expect(refusal(Uint8Array.from(Buffer.concat([head, data(600), body])))).toContain('cut short');
    });
  });

  it('says of each bad file what is wrong', () => {
    const data = ['data', pcm(16, [0.1, 0.2])] as [string, Uint8Array];
    const whole = riff(['fmt ', format(1, 1, 48000, 16)], data);
    const numbers = new Uint8Array(Float32Array.of(0.1, NaN).buffer);
    expect(refusal(new Uint8Array(0))).toMatch(/empty/);
    expect(refusal(new Uint8Array(100))).toMatch(/no WAV file/);
    expect(refusal(whole.subarray(0, 30))).toMatch(/cut short/);
    expect(refusal(whole.subarray(0, -1))).toMatch(/promises 0\.00 s/);
    expect(refusal(riff(['fmt ', format(1, 1, 48000, 16)], ['data', new Uint8Array(0)]))).toMatch(/no sound/);
    expect(refusal(riff(data, ['fmt ', format(1, 1, 48000, 16)]))).toMatch(/before its format/);
    expect(refusal(riff(['fmt ', format(85, 1, 48000, 16)], data))).toMatch(/PCM or float/);
    expect(refusal(riff(['fmt ', format(1, 0, 48000, 16)], data))).toMatch(/0 channels/);
    expect(refusal(riff(['fmt ', format(1, 1, 4_000_000_000, 16)], data))).toMatch(/4000000000/);
    expect(refusal(riff(['fmt ', format(1, 1, 48000, 13)], data))).toMatch(/13 bits/);
    expect(refusal(riff(['fmt ', format(3, 1, 48000, 32)], ['data', numbers]))).toMatch(
      /no number, at 0\.000 s/,
    );
  });
});

it('writes frames as CSV, with empty fields for what has no answer', () => {
  const partialsDb = [-20.5, ...Array.from({ length: 15 }, () => null)];
  const frame = {
    timeSeconds: 0.01,
    clarity: 0.9,
    levelDb: -20,
    centroidHarmonics: null,
    noiseToHarmonicDb: null,
  };
  expect(
    framesToCsv([
      {
        file: 'a, "b".wav',
        frames: [
          { ...frame, f0Hz: 220.5, partial: 2, airDb: null, unaidedHz: 441, partialsDb },
          { ...frame, f0Hz: null, partial: null, airDb: -60, unaidedHz: null, partialsDb },
        ],
      },
    ]),
  ).toBe(
    'file,timeSeconds,f0Hz,clarity,levelDb,centroidHarmonics,noiseToHarmonicDb,partial,airDb,unaidedHz,' +
      `${partialsDb.map((_, i) => `partial${i + 1}Db`).join()}\n` +
      `"a, ""b"".wav",0.01,220.5,0.9,-20,,,2,,441,-20.5${','.repeat(15)}\n` +
      `"a, ""b"".wav",0.01,,0.9,-20,,,,-60,,-20.5${','.repeat(15)}\n`,
  );
});

it('packs sound and figures of a take side by side', async () => {
  const document = { format: 'inner-hum-take', version: 2, playerNote: 'schön' } as TakeDocument;
  const files = unzipSync(await packTake('2026 G 4', document, { sampleRateHz: 48000, samples }));
  expect(Object.keys(files)).toEqual(['2026 G 4.wav', '2026 G 4.json']);
  expect(JSON.parse(strFromU8(files['2026 G 4.json']))).toEqual(document);
  const wav = files['2026 G 4.wav'];
  expect(decodeWav(wav).samples).toEqual(samples);
  // Floats are not PCM: the format says how long its extension is, and a fact how many samples there are.
  const view = new DataView(wav.buffer, wav.byteOffset, wav.byteLength);
  expect([4, 16, 20, 36, 42, 46].map((at) => view.getUint16(at, true))).toEqual([
    (wav.length - 8) & 0xffff,
    18,
    3,
    0,
    4,
    samples.length,
  ]);
});

it('packs frames so finely that no ribbon shows the difference, and knows rows that are not whole', () => {
  const played = playExercise({
    exercise: buildSwell({
      note: writtenMidi(58),
      shape: 'growFade',
      beats: 4,
      tempoBpm: 60,
      start: 'playToStart',
    }),
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: WARM_UP,
    sampleRateHz: 24000,
    seed: 5,
    leadSeconds: 0.3,
    tailSeconds: 0.3,
  });
  const columns = listenTo(played.samples, 24000).slice(0);
  const read = unpackFrames(packFrames(columns));
  const worst = (name: 'f0Hz' | 'levelDb' | 'noiseToHarmonicDb', error: (a: number, b: number) => number) =>
    Math.max(
      ...Array.from(columns[name], (value, i) => {
        expect(Number.isNaN(read[name][i])).toBe(Number.isNaN(value));
        return Number.isNaN(value) ? 0 : Math.abs(error(value, read[name][i]));
      }),
    );
  expect(worst('f0Hz', (a, b) => 1200 * Math.log2(a / b))).toBeLessThan(0.13);
  expect(worst('levelDb', (a, b) => a - b)).toBeLessThan(0.051);
  expect(worst('noiseToHarmonicDb', (a, b) => a - b)).toBeLessThan(0.126);
  expect(() => unpackFrames(new Uint8Array(13))).toThrow(/12/);
});

it('reads frames value for value, and none that no sound can have', () => {
  const track = listenTo(new Float32Array(24_000).fill(0), 48_000);
  const columns = track.slice(0);
  columns.f0Hz[3] = 233.08;
  columns.levelDb[3] = -23.5;
  columns.noiseToHarmonicDb[3] = NaN;
  const bytes = framesToBytes(columns);
  expect(framesFromBytes(bytes)).toEqual(columns);
  const odd: [keyof typeof columns, number][] = [
    ['f0Hz', -1],
    ['f0Hz', 1e30],
    ['f0Hz', Infinity],
    ['f0Hz', 5],
    ['levelDb', NaN],
    ['levelDb', 300],
    ['levelDb', -Infinity],
    ['centroidHarmonics', 1e9],
  ];
  for (const [name, value] of odd) {
    const broken = { ...columns, [name]: Float32Array.from(columns[name]) };
    broken[name][5] = value;
    expect(() => framesFromBytes(framesToBytes(broken)), `${name} ${value}`).toThrowError(
      /no sound has that/,
    );
  }
});
