import { listenTo } from '@inner-hum/core/hearing';
import { createRandom } from '@inner-hum/core/signal';
import {
  airOnsetSeconds,
  findGaps,
  findSlips,
  findToneSpan,
  measureRelease,
  onsetSeconds,
  quietestRoom,
} from '@inner-hum/core/tone';
import { air, all, clicks, hiss, reverberation, type Fault } from './room.ts';
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
      const airOnset = airOnsetSeconds(track, span.first, quietestRoom(track)?.airDb ?? null);
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
