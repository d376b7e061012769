import { noteTarget, secondsPerBeat, type Exercise, type TimedItem } from '../exercise/index.ts';
import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import type { HornId, PitchTarget } from '../horn/index.ts';
import { findStretches, partialOf, type Stretch, type ToneSpan } from '../tone/index.ts';

/** Where one item of the score was found in the playing. */
export interface Found {
  span: ToneSpan;
  /** `wrongNote`: something else was played in its place, at this pitch. */
  status: 'played' | 'wrongNote';
  soundingHz: number;
  /** Nothing was heard where it begins: it is taken to begin as written. */
  isAssumed?: true;
}

export interface FollowRequest {
  track: FrameTrack;
  score: readonly TimedItem[];
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  roomFloorDb: number | null;
  /** Beat 0 on the track's clock, or null where the first right note sets it. */
  beatZeroSeconds: number | null;
}

/** In one's own time no note is too short from here on. */
export const OWN_TIME_LEAST_SECONDS = 0.6;

/** Prices of what may have happened, in units of one note that is there and wrong. */
const MISSED = 1.2;
const OTHER_PARTIAL = 0.3;
const WRONG_PITCH = 0.9;
const PER_BEAT_OFF = 0.12;
const MOST_FOR_TIME = 0.6;
const TOO_SHORT = 0.4;
/** Another partial without a hole before it is where the note before fell to. */
const TORN_OFF = 0.7;
const NO_HOLE_SECONDS = 0.05;
/** Of what may be either of two notes, the earlier one. */
const LATER = 0.001;
const PASSED_OVER = 0.2;
const PASSED_OVER_LONG = 0.6;
const PER_SECOND_OF_HOLE = 0.8;
const HOLE = 0.05;
/** Holes up to this are the note's own. */
const OWN_HOLE_SECONDS = 0.15;
/** A longer pause ends a note. */
const LONGEST_HOLE_SECONDS = 1.2;
/** Most stretches one note may be torn into. */
const MOST_PIECES = 16;
/** A wrong pitch longer than this is no part of a note, but one of its own. */
const LONGEST_STRAY_SECONDS = 0.3;

const RIGHT_CENTS = 70;
const HUM_CENTS = 150;

interface Wanted {
  index: number;
  isHum: boolean;
  isSlurred: boolean;
  target: PitchTarget;
  /** Pitches of the notes beside it: what is one of them is no slip of this one. */
  beside: number[];
  /** Null in the player's own time: whenever it comes. */
  startSeconds: number | null;
  lengthSeconds: number;
}

interface Piece extends Stretch {
  hz: number;
  startSeconds: number;
  lengthSeconds: number;
  /** Inside an item in which anything may sound. */
  isFree: boolean;
}

/**
 * Finds every note and hum of a score in the playing: the cheapest way to lay the score's items, in order, over the
 * stretches of tone heard. A note may be torn, late, wrong or missing, and what belongs to nothing is passed over, so
 * that no mistake costs the notes after it (Needleman and Wunsch 1970, with items that may span several stretches).
 * One entry an item of the score; null where it was not played, and for what has no tone.
 */
export function followScore(request: FollowRequest): (Found | null)[] {
  const { score, exercise, hornId, a4Hz, track, roomFloorDb } = request;
  const beat = secondsPerBeat(exercise);
  const stretches = findStretches(track, roomFloorDb);
  const targetOf = ({ item }: TimedItem) =>
    item.kind === 'note' || item.kind === 'hum' ? noteTarget(exercise, item, hornId, a4Hz) : null;
  const isOwnTime = exercise.start === 'ownTime';
  const zero = request.beatZeroSeconds ?? guessZero(request, stretches, beat);
  const wanted = score.flatMap((timed, index): Wanted[] => {
    const target = targetOf(timed);
    if (!target) return [];
    return [
      {
        index,
        isHum: timed.item.kind === 'hum',
        isSlurred: timed.item.kind === 'note' && timed.item.attack === 'slurred',
        target,
        // Where each note is held for long, the notes after the next are no slips either.
        beside: (isOwnTime ? [-2, -1, 1, 2] : [-1, 1])
          .map((by) => score.at(index + by))
          .flatMap((other) =>
            other?.phrase === timed.phrase && other.item.kind === 'note'
              ? [targetOf(other)?.targetHz ?? 0]
              : [],
          ),
        startSeconds: isOwnTime ? null : zero + timed.startBeat * beat,
        lengthSeconds: isOwnTime
          ? Math.min(OWN_TIME_LEAST_SECONDS, timed.item.lengthBeats * beat)
          : timed.item.lengthBeats * beat,
      },
    ];
  });
  // Without a clock nothing says when one plays freely: it is what fits no note.
  const free = (isOwnTime ? [] : score)
    .filter(({ item }) => item.kind === 'hear' || item.kind === 'free')
    .map(({ startBeat, endBeat }) => [zero + (startBeat - 0.25) * beat, zero + (endBeat + 0.25) * beat]);
  const pieces = stretches.map((stretch): Piece => {
    const startSeconds = stretch.first * FRAME_SECONDS;
    const lengthSeconds = (stretch.last + 1 - stretch.first) * FRAME_SECONDS;
    const middle = startSeconds + lengthSeconds / 2;
    return {
      ...stretch,
      hz: 2 ** (stretch.cents / 1200),
      startSeconds,
      lengthSeconds,
      isFree: free.some(([from, to]) => middle > from && middle < to),
    };
  });
  const found = new Array<Found | null>(score.length).fill(null);
  for (const { wanted: item, first, last } of cheapest(wanted, pieces, beat))
    found[item.index] = foundIn(item, pieces.slice(first, last + 1));
  return found;
}

/** The first stretch at the pitch of the first note sets the beat; failing that, the first stretch at all. */
function guessZero(
  { score, exercise, hornId, a4Hz }: FollowRequest,
  stretches: readonly Stretch[],
  beat: number,
): number {
  const first = score.find(({ item }) => item.kind === 'note');
  if (!first || first.item.kind !== 'note') return 0;
  const { targetHz } = noteTarget(exercise, first.item, hornId, a4Hz);
  const right = stretches.find(({ cents }) => Math.abs(cents - 1200 * Math.log2(targetHz)) <= RIGHT_CENTS);
  const start = right ?? stretches.at(0);
  return (start ? start.first * FRAME_SECONDS : 0) - first.startBeat * beat;
}

function pitchCost({ target, isHum, beside }: Wanted, piece: Piece): number {
  const cents = piece.cents - 1200 * Math.log2(target.targetHz);
  if (isHum) return Math.abs(cents - 1200 * Math.round(cents / 1200)) <= HUM_CENTS ? 0 : WRONG_PITCH;
  if (Math.abs(cents) <= RIGHT_CENTS) return 0;
  const isOther = beside.some((hz) => Math.abs(piece.cents - 1200 * Math.log2(hz)) <= RIGHT_CENTS);
  return isOther || partialOf(piece.hz, target.tubeHz) === null ? WRONG_PITCH : OTHER_PARTIAL;
}

interface Match {
  wanted: Wanted;
  first: number;
  last: number;
}

function cheapest(wanted: readonly Wanted[], pieces: readonly Piece[], beat: number): Match[] {
  const [items, count] = [wanted.length, pieces.length];
  const best = Array.from({ length: items + 1 }, () => new Float64Array(count + 1).fill(Infinity));
  const step = Array.from({ length: items + 1 }, () => new Int16Array(count + 1));
  best[0][0] = 0;
  const passOver = (piece: Piece) =>
    piece.isFree
      ? 0
      : PASSED_OVER * Math.min(1, piece.lengthSeconds / OWN_HOLE_SECONDS) +
        PASSED_OVER_LONG * Math.min(1, piece.lengthSeconds / (2 * beat));
  const offer = (i: number, j: number, cost: number, how: number) => {
    if (cost >= best[i][j]) return;
    best[i][j] = cost;
    step[i][j] = how;
  };
  for (let i = 0; i <= items; i++)
    for (let j = 0; j <= count; j++) {
      const here = best[i][j];
      if (here === Infinity) continue;
      if (j < count) offer(i, j + 1, here + passOver(pieces[j]), -1);
      if (i === items) continue;
      offer(i + 1, j, here + MISSED, 0);
      for (const { pieces: taken, cost } of matches(wanted[i], pieces, j, beat))
        offer(i + 1, j + taken, here + cost + LATER * i, taken);
    }
  const path: Match[] = [];
  for (let [i, j] = [items, count]; i > 0 || j > 0;) {
    const how = step[i][j];
    if (how === -1) j--;
    else {
      if (how > 0) path.unshift({ wanted: wanted[i - 1], first: j - how, last: j - 1 });
      i--;
      j -= how;
    }
  }
  return path;
}

/** What it costs to take the item for one stretch from `from` on, for two, for three, as far as it can be one note. */
function* matches(
  item: Wanted,
  pieces: readonly Piece[],
  from: number,
  beat: number,
): Generator<{ pieces: number; cost: number }> {
  const late =
    item.startSeconds === null ? 0 : Math.abs(pieces[from]?.startSeconds - item.startSeconds) / beat;
  // In one's own time nothing that is shorter than a note can be the next one.
  const longestStray = item.startSeconds === null ? item.lengthSeconds : LONGEST_STRAY_SECONDS;
  let [sounding, wrong, holes] = [0, 0, 0];
  /** A note does not end in another one. */
  let isOver = true;
  const previous = pieces.at(from - 1);
  if (!item.isSlurred && from > 0 && from < pieces.length && previous) {
    const hole = pieces[from].startSeconds - (previous.startSeconds + previous.lengthSeconds);
    if (hole < NO_HOLE_SECONDS && pitchCost(item, pieces[from]) === OTHER_PARTIAL) holes += TORN_OFF;
  }
  for (let j = from; j < Math.min(pieces.length, from + MOST_PIECES); j++) {
    const piece = pieces[j];
    if (piece.isFree) return;
    const price = pitchCost(item, piece);
    if (j > from) {
      const hole = piece.startSeconds - (pieces[j - 1].startSeconds + pieces[j - 1].lengthSeconds);
      if (hole > LONGEST_HOLE_SECONDS) return;
      if (hole > OWN_HOLE_SECONDS) holes += HOLE + PER_SECOND_OF_HOLE * hole;
      // Neither the note before nor the one after is part of this one; what is slipped to comes back.
      const strays = (other: Piece, seconds: number) =>
        pitchCost(item, other) === WRONG_PITCH && other.lengthSeconds > seconds;
      if (strays(piece, longestStray) || strays(pieces[from], LONGEST_STRAY_SECONDS)) return;
      isOver = !strays(piece, LONGEST_STRAY_SECONDS);
      // Folded into one octave, a hum and the note played after it are the same.
      if (item.isHum && Math.abs(piece.cents - pieces[from].cents) > HUM_CENTS) return;
    }
    sounding += piece.lengthSeconds;
    wrong += price * piece.lengthSeconds;
    const short = TOO_SHORT * (1 - Math.min(1, sounding / item.lengthSeconds));
    const cost = wrong / sounding + Math.min(MOST_FOR_TIME, PER_BEAT_OFF * late) + short + holes;
    if (isOver) yield { pieces: j - from + 1, cost };
  }
}

function foundIn(item: Wanted, pieces: readonly Piece[]): Found {
  const longest = pieces.reduce((best, piece) => (piece.lengthSeconds > best.lengthSeconds ? piece : best));
  const isWrong = pieces.every((piece) => pitchCost(item, piece) === WRONG_PITCH);
  return {
    span: { first: pieces[0].first, last: pieces[pieces.length - 1].last },
    status: isWrong ? 'wrongNote' : 'played',
    soundingHz: longest.hz,
  };
}
