import { decodeWav } from '@inner-hum/core/formats';
import toneMidi from '@tonejs/midi';
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { emptyScore, HOP_SECONDS, pitchFigures, scoreFrame, type PitchFigures } from './score.ts';
import type { Ear } from './ears.ts';
import { all, clicks, hiss, hum, reverberation, type Fault } from './room.ts';
import type { ExactSound } from './tone.ts';

const FONT = '/usr/share/sounds/sf2/TimGM6mb.sf2';
export const SAMPLED_RATE_HZ = 48000;
const SLOT_SECONDS = 2;
const NOTE_SECONDS = 1.6;
/** Where a note is settled, within its slot. */
const SETTLED = [0.25, 1.35] as const;

/** General MIDI programs (from 0) with sounding notes over their ranges. */
const HORNS = [
  { program: 64, midi: [58, 63, 70, 77, 84] },
  { program: 65, midi: [49, 54, 58, 63, 70, 77, 80] },
  { program: 66, midi: [46, 51, 58, 65, 72, 75] },
  { program: 67, midi: [37, 42, 49, 56, 63, 68] },
] as const;

interface FittedNote {
  samples: Float32Array;
  /** Frames of the note's own sound with the pitch that a 100 ms window around each fits. */
  fits: { frame: number; f0Hz: number; calm: boolean }[];
}

/** The notes of a Debian sound font's saxophones, or null where fluidsynth or the font is not installed. */
export function renderHorns(): FittedNote[] | null {
  if (!existsSync('/usr/bin/fluidsynth') || !existsSync(FONT)) return null;
  const midi = new toneMidi.Midi();
  const notes = HORNS.flatMap(({ program, midi: numbers }, horn) =>
    numbers.map((number) => ({ program, channel: horn, number })),
  );
  HORNS.forEach(({ program }, channel) => {
    const track = midi.addTrack();
    track.channel = channel;
    track.instrument.number = program;
    notes.forEach((note, slot) => {
      if (note.channel !== channel) return;
      track.addNote({
        midi: note.number,
        time: slot * SLOT_SECONDS,
        duration: NOTE_SECONDS,
        velocity: 0.8,
      });
    });
  });
  const folder = mkdtempSync(join(tmpdir(), 'sampled-horns-'));
  const song = join(folder, 'song.mid');
  const wav = join(folder, 'song.wav');
  writeFileSync(song, midi.toArray());
  execFileSync(
    'fluidsynth',
    ['-ni', '-r', `${SAMPLED_RATE_HZ}`, '-R', '0', '-C', '0', '-g', '0.7', '-F', wav, FONT, song],
    { stdio: 'ignore' },
  );
  const { samples } = decodeWav(readFileSync(wav));
  rmSync(folder, { recursive: true });
  return notes.map(({ number }, slot) => {
    const start = Math.round(slot * SLOT_SECONDS * SAMPLED_RATE_HZ);
    const own = samples.slice(start, start + SLOT_SECONDS * SAMPLED_RATE_HZ);
    return { samples: own, fits: fitNote(own, 440 * 2 ** ((number - 69) / 12)) };
  });
}

const FIT_SECONDS = 0.1;
const FIT_STEP_SECONDS = 0.004;

/** Where the pitch moves faster than this in 50 ms a long window cannot say what it is: vibrato, and a loop's seam. */
const CALM_CENTS = 2;

function fitNote(samples: Float32Array, nominalHz: number): FittedNote['fits'] {
  const fits: { frame: number; f0Hz: number }[] = [];
  for (let frame = Math.round(SETTLED[0] / HOP_SECONDS); frame * HOP_SECONDS <= SETTLED[1]; frame += 5) {
    let f0Hz = nominalHz;
    for (let pass = 0; pass < 4; pass++) f0Hz = fitOnce(samples, frame * HOP_SECONDS, f0Hz, pass);
    fits.push({ frame, f0Hz });
  }
  const near = (a: number, b: number) => Math.abs(1200 * Math.log2(a / b)) <= CALM_CENTS;
  return fits.map(({ frame, f0Hz }, i) => ({
    frame,
    f0Hz,
    calm: [fits[i - 1], fits[i + 1]].every((other) => other === undefined || near(other.f0Hz, f0Hz)),
  }));
}

/** The fundamental from how far the phase of each harmonic moves within 4 ms, seen in 100 ms Hann windows. */
function fitOnce(samples: Float32Array, at: number, f0Hz: number, pass: number): number {
  let sum = 0;
  let weights = 0;
  const harmonics = pass === 0 ? 4 : 12;
  for (let k = 1; k <= harmonics && k * f0Hz < 10000; k++) {
    const [before, after] = [-1, 1].map((side) =>
      harmonicAt(samples, at + (side * FIT_STEP_SECONDS) / 2, k * f0Hz),
    );
    const expected = 2 * Math.PI * k * f0Hz * FIT_STEP_SECONDS;
    const moved = after.phase - before.phase - expected;
    const turn = moved - 2 * Math.PI * Math.round(moved / (2 * Math.PI));
    const weight = k * k * after.size * before.size;
    sum += (weight * turn) / (2 * Math.PI * FIT_STEP_SECONDS * k);
    weights += weight;
  }
  return weights > 0 ? f0Hz + sum / weights : f0Hz;
}

function harmonicAt(samples: Float32Array, at: number, hz: number): { phase: number; size: number } {
  const length = Math.round(FIT_SECONDS * SAMPLED_RATE_HZ);
  const start = Math.round(at * SAMPLED_RATE_HZ) - (length >> 1);
  const turn = (2 * Math.PI * hz) / SAMPLED_RATE_HZ;
  let re = 0;
  let im = 0;
  for (let n = 0; n < length; n++) {
    const value = (samples[start + n] ?? 0) * (0.5 - 0.5 * Math.cos((2 * Math.PI * (n + 0.5)) / length));
    re += value * Math.cos(turn * n);
    im -= value * Math.sin(turn * n);
  }
  // The phase is told at the window's beginning; that moves with `at`, as it must.
  return { phase: Math.atan2(im, re), size: Math.hypot(re, im) };
}

const ROOMS: readonly { name: string; fault: Fault }[] = [
  { name: 'clean', fault: (sound) => sound },
  { name: 'hiss 20 dB under', fault: hiss(-42) },
  { name: 'hum', fault: hum(50, -45) },
  { name: 'reverberation, clicks, hiss', fault: all(reverberation(6), clicks(-25), hiss(-55)) },
];

/** Cents where the pitch is calm. */
export interface SampledRow extends PitchFigures {
  room: string;
  ear: string;
}

/** How near every ear comes to the fit of the clean sound: agreement, for nobody knows the truth. */
export function measureSampled(ears: readonly Ear[], notes: readonly FittedNote[]): SampledRow[] {
  return ROOMS.flatMap(({ name, fault }) => {
    const heardIn = notes.map(({ samples, fits }) => ({
      fits,
      samples: fault({ samples, sampleRateHz: SAMPLED_RATE_HZ } as ExactSound).samples,
    }));
    return ears.map((ear) => {
      const score = emptyScore();
      for (const { samples, fits } of heardIn) {
        const pitchAt = ear.listen(samples, SAMPLED_RATE_HZ);
        for (const { frame, f0Hz, calm } of fits) scoreFrame(score, pitchAt(frame), f0Hz, calm);
      }
      return { room: name, ear: ear.name, ...pitchFigures(score) };
    });
  });
}
