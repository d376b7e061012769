import { columnValue, FRAME_SECONDS, listenTo, type FrameTrack } from '@inner-hum/core/hearing';
import { createRandom } from '@inner-hum/core/signal';
import {
  airOnsetSeconds,
  findGaps,
  findNotes,
  findSlips,
  findToneSpan,
  measureRelease,
  onsetSeconds,
  roomAirDb,
} from '@inner-hum/core/tone';
import { air, all, clicks, hiss, reverberation, speech, type Fault } from './room.ts';
import { quantile } from './score.ts';
import { makeTone, PLAIN_TONE } from './tone.ts';

const SAMPLE_RATE_HZ = 48000;
const TUBES_HZ = [98, 138.6, 155.6, 174.6, 207.7, 233.1, 277.2, 311.1, 349.2, 415.3, 466.2, 523.3];
const TAKES_PER_TUBE = 6;

export const EVENT_ROOMS: readonly { name: string; fault: Fault }[] = [
  { name: 'quiet room', fault: hiss(-68) },
  { name: 'reverberation, unannounced clicks, hiss', fault: all(reverberation(8), clicks(-25), hiss(-62)) },
];
/** An event is found where one of its kind begins this near. */
const NEAR_SECONDS = 0.03;

interface Happening {
  type: 'jump' | 'crack' | 'squeak' | 'gap';
  timeSeconds: number;
  lengthSeconds: number;
}

/** A take in which everything happens once: air, tone, jump, crack, squeak, gap, and a clean or sagging end. */
function makeTake(tubeHz: number, seed: number, room: Fault) {
  const random = createRandom(seed);
  const between = (low: number, high: number) => low + random.uniform() * (high - low);
  const [partial, other] = [
    [1, 2],
    [2, 3],
    [2, 1],
    [3, 2],
  ][Math.floor(4 * random.uniform())];
  const airAt = between(0.5, 0.7);
  const responseSeconds = between(0.08, 0.35);
  const onset = airAt + responseSeconds;
  let at = onset + between(0.5, 0.8);
  const take = (type: Happening['type'], low: number, high: number): Happening => {
    const lengthSeconds = between(low, high);
    const happening = { type, timeSeconds: at, lengthSeconds };
    at += lengthSeconds + between(0.45, 0.7);
    return happening;
  };
  const happenings = [
    take('jump', 0.2, 0.5),
    take('crack', 0.06, 0.12),
    take('squeak', 0.06, 0.25),
    take('gap', 0.08, 0.15),
  ];
  const [jump, crack, squeak, gap] = happenings;
  const end = at;
  const clean = random.uniform() < 0.5;
  const sagSeconds = 0.35;
  const slip = ({ timeSeconds, lengthSeconds }: Happening, times: number) => [
    { atSeconds: timeSeconds, times },
    { atSeconds: timeSeconds + lengthSeconds, times: 1 },
  ];
  const tone = makeTone({
    ...PLAIN_TONE,
    f0Hz: tubeHz * partial,
    sampleRateHz: SAMPLE_RATE_HZ,
    seed,
    seconds: end + sagSeconds + 0.6,
    harmonicToNoiseDb: 25,
    sounding: [
      [onset, gap.timeSeconds],
      [gap.timeSeconds + gap.lengthSeconds, clean ? end : end + sagSeconds],
    ],
    jumps: [
      ...slip(jump, other / partial),
      ...slip(crack, other / partial),
      ...slip(squeak, between(2.3, 2.42) / partial),
    ],
    sag: clean ? null : { atSeconds: end, seconds: sagSeconds, cents: 60 },
  });
  const { samples } = all(air(airAt, onset, -42, seed), room)(tone);
  return { samples, tubeHz, partial, onset, responseSeconds, happenings, clean };
}

export interface EventRow {
  event: string;
  count: number;
  recallPercent: number;
  precisionPercent: number;
  /** Size of the error of the time in ms. */
  medianMs: number;
  p95Ms: number;
}

export interface HistoryFigures {
  events: EventRow[];
  /** Size of the error in ms. */
  toneOnsetMs: { median: number; p95: number };
  responseMs: { median: number; p95: number; missedPercent: number };
  /** Takes whose end was called what it was. */
  releasePercent: number;
}

/** What the core makes of takes whose every event is known. */
export function measureHistories(room: Fault): HistoryFigures {
  const types = ['jump', 'crack', 'squeak', 'gap'] as const;
  const tally = new Map(types.map((type) => [type, { real: 0, found: 0, right: 0, errors: [] as number[] }]));
  const onsets: number[] = [];
  const responses: number[] = [];
  let takes = 0;
  let mute = 0;
  let releases = 0;
  TUBES_HZ.forEach((tubeHz, tube) => {
    for (let repeat = 0; repeat < TAKES_PER_TUBE; repeat++) {
      takes++;
      const take = makeTake(tubeHz, 100 * tube + repeat, room);
      const track = listenTo(take.samples, SAMPLE_RATE_HZ);
      const span = findToneSpan(track, null);
      if (span === null) continue;
      const onset = onsetSeconds(track, span.first);
      onsets.push(Math.abs(onset - take.onset));
      const airOnset = airOnsetSeconds(track, span.first, roomAirDb(track));
      if (airOnset === null) mute++;
      else responses.push(Math.abs(onset - airOnset - take.responseSeconds));
      if (measureRelease(track, span, 0)?.clean === take.clean) releases++;
      const none = new Uint8Array(track.count);
      const found = [
        ...findSlips(track, span, tubeHz, take.partial, none),
        ...findGaps(track, span, none).map((gap) => ({ type: 'gap' as const, ...gap })),
      ];
      for (const type of types) {
        const sums = tally.get(type);
        if (!sums) continue;
        const real = take.happenings.filter((happening) => happening.type === type);
        const heard = found.filter((event) => event.type === type);
        sums.real += real.length;
        sums.found += heard.length;
        for (const { timeSeconds } of real) {
          const errors = heard.map((event) => Math.abs(event.timeSeconds - timeSeconds));
          const error = Math.min(...errors);
          if (error > NEAR_SECONDS) continue;
          sums.right++;
          sums.errors.push(error);
        }
      }
    }
  });
  const ms = (values: number[]) => ({
    median: 1000 * quantile(values, 0.5),
    p95: 1000 * quantile(values, 0.95),
  });
  return {
    events: types.map((type) => {
      const { real, found, right, errors } = tally.get(type) ?? { real: 1, found: 1, right: 0, errors: [] };
      const { median, p95 } = ms(errors);
      return {
        event: type,
        count: real,
        recallPercent: (100 * right) / real,
        precisionPercent: (100 * right) / found,
        medianMs: median,
        p95Ms: p95,
      };
    }),
    toneOnsetMs: ms(onsets),
    responseMs: { ...ms(responses), missedPercent: (100 * mute) / takes },
    releasePercent: (100 * releases) / takes,
  };
}

export interface BreathRow {
  breathDb: number;
  /** Size of the error of means over 100 ms. */
  medianDb: number;
  p95Db: number;
}

/** breathDb against the noise that was put in, as means over 100 ms. */
export function measureBreath(): BreathRow[] {
  return [30, 20, 10, 5].map((harmonicToNoiseDb) => {
    const errors: number[] = [];
    const truths: number[] = [];
    for (const f0Hz of [98, 138.6, 233.1, 311.1, 466.2, 740, 1046.5]) {
      const tone = makeTone({
        ...PLAIN_TONE,
        f0Hz,
        sampleRateHz: SAMPLE_RATE_HZ,
        seed: 7,
        seconds: 2.3,
        harmonicToNoiseDb,
      });
      const { harmonic, noise } = tone.powers(500, 8000);
      const truth = 10 * Math.log10(noise / harmonic);
      truths.push(truth);
      const { columns } = listenTo(tone.samples, SAMPLE_RATE_HZ);
      for (let frame = 15; frame + 10 < 215; frame += 10) {
        const mean = columns.breathDb.subarray(frame, frame + 10).reduce((sum, value) => sum + value / 10, 0);
        errors.push(Math.abs(mean - truth));
      }
    }
    return {
      breathDb: quantile(truths, 0.5),
      medianDb: quantile(errors, 0.5),
      p95Db: quantile(errors, 0.95),
    };
  });
}

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
