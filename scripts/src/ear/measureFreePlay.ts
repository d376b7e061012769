import { columnValue, FRAME_SECONDS, listenTo, type FrameTrack } from '@inner-hum/core/hearing';
import { createRandom } from '@inner-hum/core/signal';
import { findNotes } from '@inner-hum/core/tone';
import { all, clicks, hiss, speech } from './room.ts';
import { quantile } from './score.ts';
import { makeTone, PLAIN_TONE } from './tone.ts';

const SAMPLE_RATE_HZ = 48000;

export interface FreePlayFigures {
  notes: number;
  foundPercent: number;
  /** Notes of 150 ms and more that nobody played: in all, and those of a second of speech each. */
  falseNotes: number;
  ofSpeech: number;
}

/** Lines of notes without any exercise known, clicks all along, and someone speaking for a second in their middle. */
export function measureFreePlay(): FreePlayFigures {
  let notes = 0;
  let found = 0;
  let falseNotes = 0;
  let ofSpeech = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const random = createRandom(seed);
    const between = (low: number, high: number) => low + random.uniform() * (high - low);
    const base = between(120, 400);
    const played: { from: number; to: number; hz: number }[] = [];
    let at = 0.4;
    let step = 0;
    while (at < 7.5) {
      const speaking = at > 3.4 && at < 3.6;
      if (speaking || (at > 3 && !played.some(({ from }) => from > 3.9))) at = Math.max(at, 4.6);
      const length = between(0.3, 0.9);
      step += Math.round(between(1, 4)) * (random.uniform() < 0.5 ? -1 : 1);
      played.push({ from: at, to: at + length, hz: base * 2 ** (step / 12) });
      at += length + (random.uniform() < 0.5 ? 0 : between(0.05, 0.2));
    }
    const speechFrom = (played.findLast(({ to }) => to < 4.5)?.to ?? 3) + 0.1;
    const last = played[played.length - 1].to;
    const tone = makeTone({
      ...PLAIN_TONE,
      f0Hz: base,
      sampleRateHz: SAMPLE_RATE_HZ,
      seed,
      seconds: last + 0.5,
      harmonicToNoiseDb: 25,
      sounding: played.map(({ from, to }) => [from, to] as const),
      jumps: played.map(({ from, hz }) => ({ atSeconds: from - 0.001, times: hz / base })),
    });
    const { samples } = all(
      speech(speechFrom, speechFrom + 1, -30, seed),
      hiss(-68, seed),
      clicks(-20),
    )(tone);
    const track = listenTo(samples, SAMPLE_RATE_HZ);
    const heard = findNotes(track, null).map(({ first, last }) => ({
      from: first * FRAME_SECONDS,
      to: last * FRAME_SECONDS,
      hz: middleHz(track, first, last),
    }));
    const same = (a: { from: number; hz: number }, b: { from: number; hz: number }) =>
      Math.abs(a.from - b.from) < 0.06 && Math.abs(1200 * Math.log2(a.hz / b.hz)) < 50;
    notes += played.length;
    found += played.filter((note) => heard.some((other) => same(note, other))).length;
    for (const note of heard) {
      if (note.to - note.from < 0.15 || played.some((other) => same(note, other))) continue;
      if (note.from > speechFrom - 0.05 && note.from < speechFrom + 1) ofSpeech++;
      falseNotes++;
    }
  }
  return { notes, foundPercent: (100 * found) / notes, falseNotes, ofSpeech };
}

function middleHz({ columns }: FrameTrack, first: number, last: number): number {
  const pitches = Array.from({ length: last - first + 1 }, (_, i) => columnValue(columns.f0Hz, first + i));
  return quantile(
    pitches.filter((hz) => hz !== null),
    0.5,
  );
}
