import type { TakeEvent } from './takeEvent.ts';
import type { SwellMeasures } from './measures.ts';
import type { Tolerance } from './tolerances.ts';

/** What stood out, with its figures. The interface turns it into words. */
export type Finding =
  | { kind: 'jump'; to: number; atSeconds: number }
  | { kind: 'gap'; atSeconds: number; lengthMs: number }
  | { kind: 'response'; ms: number }
  | { kind: 'short'; heldSeconds: number; writtenSeconds: number }
  | { kind: 'stair'; count: number; worstDb: number; atSeconds: number }
  | { kind: 'peak'; beats: number }
  | { kind: 'loudEnd'; cents: number }
  | { kind: 'softEnd'; cents: number }
  | { kind: 'pitch'; cents: number }
  | { kind: 'wander'; cents: number }
  | { kind: 'swellError'; db: number }
  | { kind: 'even'; errorDb: number; spreadCents: number };

/** The one thing to try next. */
export type Advice =
  | 'moreAirBeforeJump'
  | 'keepAirThrough'
  | 'shorterFirst'
  | 'softestThatSpeaks'
  | 'slowerThroughStair'
  | 'countTheTurn'
  | 'loudEndVoicing'
  | 'softEndVoicing'
  | 'hearNoteFirst'
  | 'steadyAir'
  | 'smallerSpan'
  | 'addABeat';

export interface Verdict {
  /** One or two, the weightiest first. */
  findings: Finding[];
  advice: Advice;
  /** The pitch and level band by which this was judged. */
  band: { pitchCents: number; swellErrorDb: number };
}

interface VerdictInput {
  measures: SwellMeasures;
  events: readonly TakeEvent[];
  onsetSeconds: number;
  shape: 'growFade' | 'grow' | 'fade' | 'steady';
  tolerance: Tolerance;
  writtenSeconds: number;
}

/** A peak this far from its beat is heard as early or late. */
const PEAK_BEATS = 0.3;
/** A note shorter than this share of what is written was broken off. */
const SHORT_SHARE = 0.85;

interface Weighed {
  finding: Finding;
  advice: Advice;
}

/** A torn tone weighs more than a stair, a stair more than pitch, pitch more than shape. */
export function reachVerdict({
  measures: m,
  events,
  onsetSeconds,
  shape,
  tolerance,
  writtenSeconds,
}: VerdictInput): Verdict {
  const found: Weighed[] = [];
  const add = (finding: Finding, advice: Advice) => found.push({ finding, advice });
  const since = (time: number) => time - onsetSeconds;

  const jump = events.find((event) => event.type === 'jump');
  if (jump?.type === 'jump')
    add({ kind: 'jump', to: jump.to, atSeconds: since(jump.timeSeconds) }, 'moreAirBeforeJump');
  const gap = events.find((event) => event.type === 'gap');
  if (gap?.type === 'gap')
    add(
      { kind: 'gap', atSeconds: since(gap.timeSeconds), lengthMs: 1000 * gap.lengthSeconds },
      'keepAirThrough',
    );
  const end = events.find((event) => event.type === 'end');
  const sounded = end ? since(end.timeSeconds) : 0;
  if (sounded < SHORT_SHARE * writtenSeconds)
    add({ kind: 'short', heldSeconds: sounded, writtenSeconds }, 'shorterFirst');
  if (m.responseMs !== null && m.responseMs > tolerance.responseMs)
    add({ kind: 'response', ms: m.responseMs }, 'softestThatSpeaks');
  const stair = events.find((event) => event.type === 'stair');
  if (stair?.type === 'stair')
    add(
      {
        kind: 'stair',
        count: m.stairs.count,
        worstDb: m.stairs.worstDb ?? stair.stepDb,
        atSeconds: since(stair.timeSeconds),
      },
      'slowerThroughStair',
    );

  const loud = m.loudEndCents ?? 0;
  const soft = m.softEndCents ?? 0;
  const bothEnds = m.loudEndCents !== null && m.softEndCents !== null;
  if (bothEnds && Math.max(Math.abs(loud), Math.abs(soft)) > tolerance.pitchCents) {
    if (Math.abs(loud) >= Math.abs(soft)) add({ kind: 'loudEnd', cents: loud }, 'loudEndVoicing');
    else add({ kind: 'softEnd', cents: soft }, 'softEndVoicing');
  } else if (m.centsMean !== null && Math.abs(m.centsMean) > tolerance.pitchCents)
    add({ kind: 'pitch', cents: m.centsMean }, 'hearNoteFirst');
  if (m.peakOffsetBeats !== null && Math.abs(m.peakOffsetBeats) > PEAK_BEATS)
    add({ kind: 'peak', beats: m.peakOffsetBeats }, 'countTheTurn');
  if (m.swellErrorDb !== null && m.swellErrorDb > tolerance.swellErrorDb)
    add({ kind: 'swellError', db: m.swellErrorDb }, shape === 'steady' ? 'steadyAir' : 'smallerSpan');
  if (shape === 'steady' && m.centsSpread !== null && m.centsSpread > tolerance.pitchCents)
    add({ kind: 'wander', cents: m.centsSpread }, 'steadyAir');
  if (found.length === 0)
    add({ kind: 'even', errorDb: m.swellErrorDb ?? 0, spreadCents: m.centsSpread ?? 0 }, 'addABeat');

  return {
    findings: found.slice(0, 2).map(({ finding }) => finding),
    advice: found[0].advice,
    band: { pitchCents: tolerance.pitchCents, swellErrorDb: tolerance.swellErrorDb },
  };
}
