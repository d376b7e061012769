import { all, clicks, clipping, hiss, hum, offset, reverberation } from './room.ts';
import { makeTone, PLAIN_TONE, type ExactSound, type ToneConfig } from './tone.ts';

export interface SoundKind {
  name: string;
  pitchesHz: readonly number[];
  make(f0Hz: number, sampleRateHz: number, seed: number): ExactSound;
}

/** Sounding notes from the baritone's lowest to altissimo. */
const HORN_HZ = [65.4, 98, 138.6, 207.7, 233.1, 311.1, 466.2, 740, 1046.5, 1480, 2093, 2500];
/** What a player hums or sings. */
const VOICE_HZ = [82, 104, 131, 165, 208, 262, 330, 415, 523, 698, 880, 1000];
/** Tubes whose partials a jump may reach. */
const TUBE_HZ = [98, 138.6, 155.6, 174.6, 207.7, 233.1, 277.2, 311.1, 349.2, 415.3, 466.2, 523.3];
const HUM_HZ = [50, 60, 100, 120];

function kind(
  name: string,
  tone: Partial<ToneConfig>,
  fault: (sound: ExactSound) => ExactSound = (sound) => sound,
  pitchesHz: readonly number[] = HORN_HZ,
): SoundKind {
  return {
    name,
    pitchesHz,
    make: (f0Hz, sampleRateHz, seed) => fault(makeTone({ ...PLAIN_TONE, f0Hz, sampleRateHz, seed, ...tone })),
  };
}

/** Formants of an open vowel, as resonances of 100 Hz half width: enough to make single harmonics outshout the first. */
function vowelDb(hz: number): number {
  const peak = (centre: number, db: number) => db / (1 + ((hz - centre) / 120) ** 2);
  return peak(650, 18) + peak(1100, 14) + peak(2500, 12);
}

const ONSETS = [0.403, 0.907, 1.412];
/** A tone that starts three times out of silence; only the first 50 ms of each are scored. */
function onsetKind(name: string, tone: Partial<ToneConfig>, fault?: (sound: ExactSound) => ExactSound) {
  const base = kind(
    name,
    { seconds: 1.9, sounding: ONSETS.map((at) => [at, at + 0.35] as const), ...tone },
    fault,
  );
  return {
    ...base,
    make: (...config: Parameters<SoundKind['make']>) => ({
      ...base.make(...config),
      // The first frame is the one whose middle lies in the tone; the tone is half-way up at the moment itself.
      scored: ONSETS.map((at) => [at, at + 0.05] as const),
    }),
  };
}

const JUMP_AT = 0.753;
const JUMPS = [
  [1, 2],
  [2, 1],
  [2, 3],
  [3, 2],
  [1, 3],
  [3, 4],
] as const;

/** From one partial of a tube to another and back; what is scored lies within 50 ms of each jump, or away from it. */
function jumpKind(name: string, harmonicToNoiseDb: number | null): SoundKind {
  return {
    name,
    pitchesHz: TUBE_HZ,
    make(tubeHz, sampleRateHz, seed) {
      const [from, to] = JUMPS[seed % JUMPS.length];
      const back = JUMP_AT + 0.404;
      const sound = makeTone({
        ...PLAIN_TONE,
        f0Hz: tubeHz * from,
        sampleRateHz,
        seed,
        harmonicToNoiseDb,
        seconds: 1.8,
        jumps: [
          { atSeconds: JUMP_AT, times: to / from },
          { atSeconds: back, times: 1 },
        ],
      });
      return { ...sound, scored: [JUMP_AT, back].map((at) => [at - 0.05, at + 0.05] as const) };
    },
  };
}

export const SOUND_KINDS: readonly SoundKind[] = [
  kind('clean', {}),
  kind('fundamental 25 dB weak', { weakBy: 25 }),
  kind('breath noise 20 dB', { harmonicToNoiseDb: 20 }),
  kind('breath noise 10 dB', { harmonicToNoiseDb: 10 }),
  kind('breath noise 5 dB', { harmonicToNoiseDb: 5 }),
  kind('vibrato 5 Hz, 25 cents', { vibratoCents: 25 }),
  kind('swell of 20 dB', { swellDb: 20 }),
  kind(
    'soft tone, noise, room, clicks',
    { levelDb: -45, harmonicToNoiseDb: 15 },
    all(reverberation(6), hiss(-68), clicks(-30)),
  ),
  kind('-60 dBFS', { levelDb: -60, harmonicToNoiseDb: 25 }, hiss(-85)),
  {
    name: 'hum 15 dB under the tone',
    pitchesHz: HORN_HZ,
    make: (f0Hz, sampleRateHz, seed) =>
      hum(
        HUM_HZ[seed % HUM_HZ.length],
        -45,
      )(makeTone({ ...PLAIN_TONE, f0Hz, sampleRateHz, seed, levelDb: -30 })),
  },
  kind('reverberation 3 dB under', {}, reverberation(3)),
  kind('clipped at half', {}, clipping(0.5)),
  kind('offset 0.2', { levelDb: -30 }, offset(0.2)),
  kind('voice', { formantDb: vowelDb, harmonicToNoiseDb: 25, vibratoCents: 25 }, undefined, VOICE_HZ),
  onsetKind('first 50 ms', { harmonicToNoiseDb: 30 }, hiss(-70)),
  jumpKind('within 50 ms of a jump', 30),
];

/** Nothing that has a pitch. */
export const SILENCES: readonly { name: string; make(sampleRateHz: number): ExactSound }[] = [
  { name: 'hiss of a quiet room', fault: hiss(-65) },
  { name: 'loud hiss', fault: hiss(-30) },
  { name: 'hiss and clicks', fault: all(hiss(-65), clicks(-15)) },
  { name: 'offset and hiss', fault: all(hiss(-70), offset(0.1)) },
].map(({ name, fault }) => ({
  name,
  make: (sampleRateHz) =>
    fault(makeTone({ ...PLAIN_TONE, f0Hz: 220, sampleRateHz, seed: 1, seconds: 10, sounding: [] })),
}));
