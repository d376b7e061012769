import { markFraction, noteTarget, type DynamicScale, type TimedItem } from '../exercise/index.ts';
import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { percentile } from '../stats/index.ts';
import { partialOf, withoutPitch } from '../tone/index.ts';
import { isOfStanding, runsOf, standingTone, type Run } from './soundRuns.ts';
import type { TakeContext } from './takeContext.ts';

/** So far from every note that is asked, and from every partial of its tube, nobody who plays it is by accident. */
const NEAR_CENTS = 180;
const BENT_CENTS = 700;
/** Partials to which a note may slip. */
const HIGHEST_SLIP = 8;
/** What is this far under the loud part of a take, at a pitch that nothing asks for, is somebody or something else. */
const UNDER_LOUD_DB = 12;
/** Under the softest that is written by so much a tone at a pitch that nothing asks for is somebody else's, however long. */
const UNDER_SOFTEST_DB = 8;
/** So far under the softest that is written nobody plays, whatever the pitch. */
const FAR_UNDER_DB = 24;
/** What lasts so long may be a note of the player's, as soft as the softest that is written. */
const NOTE_FRAMES = Math.round(0.25 / FRAME_SECONDS);
/** A sound at a pitch that is asked for is the player's where it stands so far over what else is heard... */
const OVER_OTHERS_DB = 8;
/** ...or lasts as long as no syllable and no note of a line does. */
const LONG_FRAMES = Math.round(0.8 / FRAME_SECONDS);
/** Between what a tone begins on and the tone there are no more frames than these. */
const TOUCHING_FRAMES = 3;
const BEGIN_FRAMES = Math.round(0.1 / FRAME_SECONDS);
/** Between two tones of the player so near there is nobody else: a change of notes, a slip, a scoop. */
const BESIDE_FRAMES = Math.round(0.12 / FRAME_SECONDS);
const AS_LOUD_DB = 8;
const LOUD_PERCENT = 95;

/** What a take is without everybody else, and how much there was of them. */
export interface PlayersFrames {
  track: FrameTrack;
  /** Somebody or something else was heard beside the player. */
  hasOthers: boolean;
  /** How loud they are where they are loud, dBFS; null where nobody was heard. */
  othersDb: number | null;
}

/**
 * The frames of a take with the pitch of everybody else taken out: a neighbour's horn, speech, a radio, a drone, the hum of the mains, where
 * they are softer than the player and sound at pitches that nothing asks for, and what is no louder than they are and short, or stands
 * there before the player does. The track itself where nothing is taken out, and where anything may sound (free playing).
 */
export function playersFrames(
  track: FrameTrack,
  score: readonly TimedItem[],
  { exercise, hornId, a4Hz, scale }: Pick<TakeContext, 'exercise' | 'hornId' | 'a4Hz' | 'scale'>,
): PlayersFrames {
  if (score.some(({ item }) => item.kind === 'free')) return { track, hasOthers: false, othersDb: null };
  const isAsked = askedBy(score, { exercise, hornId, a4Hz });
  const loudDb = loudOf(track);
  const rangeDb = writtenRangeDb(score, scale);
  const isQuiet = ({ peakDb, first, last }: Run) =>
    peakDb < loudDb - Math.max(UNDER_LOUD_DB, last - first >= NOTE_FRAMES ? rangeDb + UNDER_SOFTEST_DB : 0);
  /** What is there before the player, at a pitch that nothing asks for, is no soft note however long it is. */
  const isUnder = (run: Run) => isQuiet(run) || (!run.isAsked && run.peakDb < loudDb - UNDER_LOUD_DB);
  const isFarUnder = ({ peakDb }: Run) => peakDb < loudDb - rangeDb - FAR_UNDER_DB;
  const heard = runsOf(track, isAsked);
  const standing = standingTone(heard, track, isUnder);
  const runs = standing === null ? heard : runsOf(track, isAsked, standing);
  const sure = runs.filter(
    (run) => (isFarUnder(run) || (!run.isAsked && isQuiet(run))) && !isBetween(run, runs),
  );
  if (sure.length === 0 && standing === null) return { track, hasOthers: false, othersDb: null };
  const surelyDb = percentile(
    sure.map(({ peakDb }) => peakDb),
    LOUD_PERCENT,
  );
  const othersDb = Math.max(surelyDb ?? -Infinity, standing?.levelDb ?? -Infinity);
  const isFaint = ({ peakDb, first, last }: Run) =>
    peakDb < othersDb + OVER_OTHERS_DB && last - first + 1 < LONG_FRAMES;
  const tones = runs.filter((run) => run.isAsked && !isFaint(run));
  const startDb = ({ first }: Run) =>
    Math.max(...track.columns.levelDb.subarray(first, first + BEGIN_FRAMES));
  /** What a tone begins on goes on up to it without a hole, about as loud. */
  const leadsIn = ({ last, lastClear, peakDb }: Run) =>
    tones.some(
      (tone) =>
        tone.first > last && tone.first - lastClear <= TOUCHING_FRAMES && peakDb > startDb(tone) - AS_LOUD_DB,
    );
  const stands = (run: Run) =>
    standing !== null && isUnder(run) && isOfStanding(standing, run.hz, run.peakDb);
  const own = runs.filter(
    (run) => run.isAsked && (!isFaint(run) || leadsIn(run)) && !stands(run) && !isFarUnder(run),
  );
  const isOwn = new Set(own);
  const taken = runs.filter((run) => {
    if (isOwn.has(run)) return false;
    return stands(run) || ((run.isAsked || isQuiet(run)) && !isBetween(run, own));
  });
  return { track: withoutPitch(track, taken), hasOthers: true, othersDb };
}

/** Says of a pitch in Hz whether a note or a hum of the score may sound so, by being played or by a slip. */
function askedBy(
  score: readonly TimedItem[],
  { exercise, hornId, a4Hz }: Pick<TakeContext, 'exercise' | 'hornId' | 'a4Hz'>,
): (hz: number) => boolean {
  const targets = score.flatMap(({ item }) =>
    item.kind === 'note' || item.kind === 'hum'
      ? [
          {
            ...noteTarget(exercise, item, hornId, a4Hz),
            isHum: item.kind === 'hum',
            nearCents: item.kind === 'note' && item.bend ? BENT_CENTS : NEAR_CENTS,
          },
        ]
      : [],
  );
  return (hz) =>
    targets.some(({ targetHz, tubeHz, isHum, nearCents }) => {
      const cents = centsBetween(hz, targetHz);
      if (Math.abs(isHum ? cents - 1200 * Math.round(cents / 1200) : cents) <= nearCents) return true;
      return hz < (HIGHEST_SLIP + 0.5) * tubeHz && partialOf(hz, tubeHz) !== null;
    });
}

/** Whether a run lies between two tones of the player, about as loud as the softer of them. */
function isBetween({ first, last, peakDb }: Run, runs: readonly Run[]): boolean {
  if (last - first + 1 > 2 * BESIDE_FRAMES) return false;
  const isTone = (run: Run) => run.isAsked && run.last - run.first >= BESIDE_FRAMES / 2;
  const before = runs.findLast((run) => run.last < first && isTone(run));
  const after = runs.find((run) => run.first > last && isTone(run));
  if (!before || !after) return false;
  if (first - before.last > BESIDE_FRAMES || after.first - last > BESIDE_FRAMES) return false;
  return peakDb > Math.min(before.peakDb, after.peakDb) - AS_LOUD_DB;
}

/** From the softest to the loudest that is written, dB. */
function writtenRangeDb(score: readonly TimedItem[], { floorDb, ceilingDb }: DynamicScale): number {
  const fractions = score.flatMap(({ item }) =>
    item.kind === 'note' ? item.dynamics.map(({ mark }) => markFraction(mark)) : [],
  );
  if (fractions.length === 0) return 0;
  return (Math.max(...fractions) - Math.min(...fractions)) * (ceilingDb - floorDb);
}

function loudOf({ columns: { f0Hz, levelDb }, count }: FrameTrack): number {
  const levels: number[] = [];
  for (let i = 0; i < count; i++) if (columnValue(f0Hz, i) !== null) levels.push(levelDb[i]);
  return percentile(levels, LOUD_PERCENT) ?? -Infinity;
}
