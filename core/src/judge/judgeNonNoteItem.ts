import { FRAME_SECONDS, columnValue } from '../hearing/index.ts';
import { pitchTarget } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { measureAir, measureGapNoise } from './airNoise.ts';
import type { Finding } from './finding.ts';
import type { Found } from './follow.ts';
import { heardTones } from './heardTones.ts';
import type { AirAnalysis, HumAnalysis, ItemAnalysis, RestAnalysis } from './itemAnalysis.ts';
import type { JudgeContext } from './judgeContext.ts';
import { decideVerdict } from './verdict.ts';

/** The end of a note rings and releases. */
const EDGE_FRAMES = Math.round(0.08 / FRAME_SECONDS);
const HUM_EDGE_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** A hum farther off than this would land the note beside its place. */
const HUM_BAND_CENTS = 50;
const NOT_HEARD = { startSeconds: null, endSeconds: null };

/** Judges what is no note: rests, bare air, hums; what is heard or free is only kept. */
export function judgeNonNoteItem(
  judging: JudgeContext,
  found: readonly (Found | null)[],
  index: number,
  zero: number,
): ItemAnalysis {
  const { item } = judging.score[index];
  switch (item.kind) {
    case 'rest':
      return judgeRest(judging, found, index, zero, item.breath === 'none');
    case 'air':
      return judgeAir(judging, found, index, zero);
    case 'hum':
      return judgeHum(judging, found[index], index, item);
    default:
      return {
        kind: item.kind === 'hear' || item.kind === 'imagine' ? item.kind : 'free',
        item: index,
        ...NOT_HEARD,
        events: [],
        verdict: null,
        measures: null,
        ...(item.kind === 'free' && item.fingered && { tones: heardTones(judging.track, judging.context) }),
      };
  }
}

/** Frames between the tone before an item and the tone after it. */
function between({ track }: JudgeContext, found: readonly (Found | null)[], index: number): [number, number] {
  const before = found.findLast((item, i) => i < index && item !== null);
  const after = found.find((item, i) => i > index && item !== null);
  return [before ? before.span.last + EDGE_FRAMES : 0, after ? after.span.first : track.count];
}

function judgeRest(
  judging: JudgeContext,
  found: readonly (Found | null)[],
  index: number,
  zero: number,
  isAirHeld: boolean,
): RestAnalysis {
  const { track, roomAir, tolerance, score, secondsPerBeat } = judging;
  const common = {
    kind: 'rest',
    item: index,
    startSeconds: zero + score[index].startBeat * secondsPerBeat,
    endSeconds: zero + score[index].endBeat * secondsPerBeat,
  } as const;
  if (!isAirHeld || !found[index - 1] || !found[index + 1])
    return { ...common, measures: { gapNoiseDb: null }, events: [], verdict: null };
  const { gapNoiseDb, breathSeconds } = measureGapNoise(track, ...between(judging, found, index), roomAir);
  const findings: Finding[] = breathSeconds === null ? [] : [{ kind: 'gapBreath' }];
  return {
    ...common,
    measures: { gapNoiseDb },
    events: breathSeconds === null ? [] : [{ type: 'breath', timeSeconds: breathSeconds }],
    verdict: decideVerdict(findings, { kind: 'quiet' }, null, tolerance),
  };
}

/** Frames in which an air is to be looked for: between the tones, and nearer to its own place than to another air's. */
function airFrames(
  judging: JudgeContext,
  found: readonly (Found | null)[],
  index: number,
  zero: number,
): [number, number] {
  const { score, secondsPerBeat } = judging;
  const [from, to] = between(judging, found, index);
  const { startBeat, endBeat, phrase } = score[index];
  const others = score.filter(
    ({ item, phrase: theirs }, i) => item.kind === 'air' && theirs === phrase && i !== index,
  );
  const frameAt = (beat: number) => Math.round((zero + beat * secondsPerBeat) / FRAME_SECONDS);
  const before = others.findLast((other) => other.endBeat <= startBeat);
  const after = others.find((other) => other.startBeat >= endBeat);
  return [
    before ? Math.max(from, frameAt((before.endBeat + startBeat) / 2)) : from,
    after ? Math.min(to, frameAt((endBeat + after.startBeat) / 2)) : to,
  ];
}

/** The first air of a phrase that is nothing but air: what later ones are compared with. */
function firstAir({ score }: JudgeContext, index: number): number | null {
  const { phrase } = score[index];
  const mine = [...score.keys()].filter((i) => score[i].phrase === phrase);
  const isAirOnly = mine.every((i) => score[i].item.kind === 'air' || score[i].item.kind === 'rest');
  const first = mine.find((i) => score[i].item.kind === 'air') ?? index;
  return isAirOnly && first < index ? first : null;
}

function judgeAir(
  judging: JudgeContext,
  found: readonly (Found | null)[],
  index: number,
  zero: number,
): AirAnalysis {
  const { track, roomAir, roomLevelDb, tolerance } = judging;
  const measure = (item: number) =>
    measureAir(track, ...airFrames(judging, found, item, zero), roomAir, roomLevelDb);
  const air = measure(index);
  const first = firstAir(judging, index);
  const reference = first === null ? null : measure(first);
  const plain: Finding =
    air && reference ? { kind: 'airAgainst', db: air.airLevelDb - reference.airLevelDb } : { kind: 'quiet' };
  return {
    kind: 'air',
    item: index,
    status: air ? 'played' : 'missed',
    startSeconds: air?.startSeconds ?? null,
    endSeconds: air?.endSeconds ?? null,
    measures: { airLevelDb: air?.airLevelDb ?? null },
    events: [],
    // Air that a microphone did not hear is nobody's fault: not of the note that grew out of it, nor of who compares two lips.
    verdict: decideVerdict(air ? [] : [{ kind: 'airUnheard' }], plain, null, tolerance),
  };
}

/** humCents: median over the hum, 150 ms from its ends, against the target, folded into the nearest octave. */
function judgeHum(
  { track, context, tolerance }: JudgeContext,
  found: Found | null,
  index: number,
  item: Extract<JudgeContext['score'][number]['item'], { kind: 'hum' }>,
): HumAnalysis {
  const common = { kind: 'hum' as const, item: index, writtenMidi: item.writtenMidi, events: [] };
  if (!found)
    return {
      ...common,
      ...NOT_HEARD,
      status: 'missed',
      measures: { humCents: null },
      verdict: decideVerdict([{ kind: 'missed' }], { kind: 'missed' }, null, tolerance),
    };
  const { targetHz } = pitchTarget(item, context.hornId, context.a4Hz);
  const { first, last } = found.span;
  const cents: number[] = [];
  for (let i = first + HUM_EDGE_FRAMES; i <= last - HUM_EDGE_FRAMES; i++) {
    const hz = columnValue(track.columns.f0Hz, i);
    if (hz === null) continue;
    const off = 1200 * Math.log2(hz / targetHz);
    cents.push(off - 1200 * Math.round(off / 1200));
  }
  const humCents = median(cents);
  const isOff = humCents !== null && Math.abs(humCents) > HUM_BAND_CENTS;
  return {
    ...common,
    status: 'played',
    startSeconds: first * FRAME_SECONDS,
    endSeconds: last * FRAME_SECONDS,
    measures: { humCents },
    verdict: decideVerdict(
      isOff ? [{ kind: 'hum', cents: humCents }] : [],
      { kind: 'quiet' },
      null,
      tolerance,
    ),
  };
}
