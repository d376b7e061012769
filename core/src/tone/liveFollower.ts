import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween, type PitchTarget } from '../horn/index.ts';
import { createClearWatch, isAtPitch } from './clear.ts';

/** A new note is there once its pitch has stood for this long. */
const SETTLED_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const SETTLED_CENTS = 70;
/** Notes nearer than this are one pitch: only a hole parts them. */
const SAME_CENTS = 40;
const HOLE_FRAMES = Math.round(0.06 / FRAME_SECONDS);
/** So many notes may be left out before the one that is heard. */
const MOST_LEFT_OUT = 2;

/** What should sound, and whether it comes out of the note before it without a break. */
export interface FollowedNote extends Pick<PitchTarget, 'targetHz'> {
  isSlurred: boolean;
}

/** Where a player is in a row of notes that are played in the player's own time. */
export interface LivePlace {
  /** Which note, from 0. */
  index: number;
  /** Frame in which each note so far began; null for one that was left out. */
  began: (number | null)[];
  /** Newest frame in which a pitch was heard. */
  lastFrame: number;
  /** From this frame on the present note has been clear; null while it is not. */
  clearFrame: number | null;
  /** Nothing is left, or nothing but the same sound by other fingers. */
  isLast: boolean;
}

export interface LiveFollower {
  readonly place: LivePlace;
  /** Looks at frame `frame`; frames in order, each once. */
  look(track: FrameTrack, frame: number): void;
}

/**
 * Follows notes as they are played, without a clock: it moves on when the player has, by pitch and order. `targets`: at least one, in order; `bandCents`: inside it a note is clear.
 */
export function createLiveFollower(targets: readonly FollowedNote[], bandCents: number): LiveFollower {
  const place: LivePlace = { index: 0, began: [], lastFrame: 0, clearFrame: null, isLast: false };
  const runs = new Map<number, number>();
  let clear = createClearWatch(targets[0].targetHz, bandCents);
  let hole = 0;
  let isParted = true;

  const isSame = (a: number, b: number) =>
    Math.abs(centsBetween(targets[a].targetHz, targets[b].targetHz)) <= SAME_CENTS;
  const restIsSame = () =>
    targets.every((target, i) => i <= place.index || (target.isSlurred && isSame(place.index, i)));

  function moveTo(index: number, frame: number) {
    while (place.began.length < index) place.began.push(null);
    place.began.push(frame);
    place.index = index;
    place.clearFrame = null;
    place.isLast = restIsSame();
    clear = createClearWatch(targets[index].targetHz, bandCents);
    runs.clear();
    isParted = false;
  }

  /** Which notes the player may have come to: the first, then the next ones of another pitch; after a hole the next in any case. */
  function candidates(): number[] {
    if (place.began.length === 0) return [0, 1, 2].filter((index) => index < targets.length);
    const ahead = targets.map((_, index) => index).slice(place.index + 1);
    const others = ahead.filter((index) => !isSame(index, place.index)).slice(0, 1 + MOST_LEFT_OUT);
    const next = place.index + 1;
    return isParted && next < targets.length && isSame(next, place.index) ? [next, ...others] : others;
  }

  place.isLast = restIsSame();
  return {
    place,
    look(track, frame) {
      hole = columnValue(track.columns.f0Hz, frame) === null ? hole + 1 : 0;
      if (hole === 0) place.lastFrame = frame;
      if (hole >= HOLE_FRAMES) isParted = true;
      for (const index of candidates()) {
        const run = isAtPitch(track, frame, targets[index].targetHz, SETTLED_CENTS)
          ? (runs.get(index) ?? 0) + 1
          : 0;
        runs.set(index, run);
        if (run < SETTLED_FRAMES) continue;
        const first = frame - SETTLED_FRAMES + 1;
        moveTo(index, first);
        for (let i = first; i < frame; i++) clear.look(track, i);
        break;
      }
      if (place.began.length > 0) place.clearFrame ??= clear.look(track, frame);
    },
  };
}
