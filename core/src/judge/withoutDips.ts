import { columnValue, FRAME_SECONDS, FrameTrack, MAX_PARTIAL } from '../hearing/index.ts';
import type { TimedItem } from '../exercise/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { pitchRuns, type ToneSpan } from '../tone/index.ts';

/** What an echo canceller does with a click of the metronome: the whole sound is softer for a moment, and comes back. */
const FALLS_DB = 4;
const EDGE_FRAMES = Math.round(0.04 / FRAME_SECONDS);
const MOST_FRAMES = Math.round(0.6 / FRAME_SECONDS);
const LEAST_FRAMES = Math.round(0.05 / FRAME_SECONDS);
/** It comes back to where it was. */
const BACK_DB = 2;
/** Tones this short hold no dips that could be told from how they are played. */
const TONE_FRAMES = Math.round(0.5 / FRAME_SECONDS);
/** A slur hides the pitch for a moment, and the sound goes on. */
const SLUR_FRAMES = Math.round(0.05 / FRAME_SECONDS);
/** Pitch within this is the same, on so many of the frames. */
const SAME_CENTS = 80;
const SAME_SHARE = 0.7;
/** So many, at even distances: nobody plays that by accident. */
const LEAST_DIPS = 4;
const EVEN_SECONDS = 0.035;
const MOST_PERIOD_SECONDS = 2.5;
/** A new note stands clear of what rings of the old one. */
const CLEAR_FRAMES = Math.round(0.15 / FRAME_SECONDS);
/** So many of them within a note. */
const LEAST_WITHIN = 2;
/** Of all places within tones at which there should be one. */
const THERE = 0.75;

/** Dips of level within tones that come at even distances, as clicks do: first to last frame. Empty where there are none, or they are asked for. */
export function evenDips(track: FrameTrack, score: readonly TimedItem[]): ToneSpan[] {
  if (asksForDips(score)) return [];
  const tones = sounding(track).filter(({ first, last }) => last - first + 1 >= TONE_FRAMES);
  const dips = tones.flatMap((tone) => dipsIn(track, tone));
  if (dips.length < LEAST_DIPS) return [];
  const gaps = dips.slice(1).map(({ first }, i) => (first - dips[i].first) * FRAME_SECONDS);
  const period = median(gaps.filter((gap) => gap <= MOST_PERIOD_SECONDS));
  if (period === null) return [];
  const start = dips[0].first * FRAME_SECONDS;
  const zero = start + (median(dips.map(({ first }) => offBeat(first * FRAME_SECONDS - start, period))) ?? 0);
  const even = dips.filter(
    ({ first }) => Math.abs(offBeat(first * FRAME_SECONDS - zero, period)) <= EVEN_SECONDS,
  );
  const places = tones.reduce((sum, tone) => {
    const from = Math.ceil(((tone.first + 2 * EDGE_FRAMES) * FRAME_SECONDS - zero) / period);
    const to = Math.floor(((tone.last - MOST_FRAMES / 2) * FRAME_SECONDS - zero) / period);
    return sum + Math.max(0, to - from + 1);
  }, 0);
  const isTrain = even.length >= LEAST_DIPS && even.length >= THERE * Math.max(places, dips.length);
  // Those between one note and the next may be the tongue's, in time.
  const isTongue = mayBeTongued(score) && even.filter((dip) => isOfOneNote(track, dip)).length < LEAST_WITHIN;
  return isTrain && !isTongue ? even : [];
}

/** Notes begun anew on one pitch, and swings of the breath, are dips of the player's own. */
function asksForDips(score: readonly TimedItem[]): boolean {
  return score.some(({ item }, i) => {
    if (item.kind !== 'note') return false;
    const before = i > 0 ? score[i - 1].item : null;
    const isRepeat =
      before?.kind === 'note' && before.writtenMidi === item.writtenMidi && item.attack !== 'slurred';
    return isRepeat || item.vibrato !== undefined || item.words !== undefined;
  });
}

/** Seconds from the nearest of the places that are `period` apart. */
const offBeat = (seconds: number, period: number) => seconds - period * Math.round(seconds / period);

/** Stretches of pitch, whatever it is, in order. */
function sounding(track: FrameTrack): ToneSpan[] {
  const spans: ToneSpan[] = [];
  for (const { first, last } of pitchRuns(track)) {
    const open = spans.at(-1);
    if (open && first - open.last <= SLUR_FRAMES) open.last = last;
    else spans.push({ first, last });
  }
  return spans;
}

function dipsIn(track: FrameTrack, { first, last }: ToneSpan): ToneSpan[] {
  const { levelDb } = track.columns;
  const dips: ToneSpan[] = [];
  for (let i = first + EDGE_FRAMES; i + EDGE_FRAMES <= last; i++) {
    const before = levelDb[i - EDGE_FRAMES];
    if (before - levelDb[i + EDGE_FRAMES] < FALLS_DB) continue;
    // Where it leaves the level it had.
    let start = i - EDGE_FRAMES;
    while (start < i && levelDb[start + 1] > before - 1) start++;
    let end = i + EDGE_FRAMES;
    const until = Math.min(last, start + MOST_FRAMES);
    while (end <= until && levelDb[end] < before - BACK_DB) end++;
    const isBack = end <= until;
    if (isBack && end - start >= LEAST_FRAMES && keepsPitch(track, start, end))
      dips.push({ first: start + 1, last: end - 1 });
    i = isBack ? end + EDGE_FRAMES : i + EDGE_FRAMES;
  }
  return dips;
}

/** Whether a note follows another and is not slurred to it. */
const mayBeTongued = (score: readonly TimedItem[]) =>
  score.some(
    ({ item }, i) =>
      i > 0 && item.kind === 'note' && item.attack !== 'slurred' && score[i - 1].item.kind === 'note',
  );

/** Whether the same pitch is heard on both sides of a dip, where a new one would stand clear. */
const isOfOneNote = ({ columns: { f0Hz } }: FrameTrack, { first, last }: ToneSpan) =>
  Math.abs(centsBetween(f0Hz[last + CLEAR_FRAMES], f0Hz[first - 1])) < SAME_CENTS;

/** Whether it is the tone itself that is softer between two frames: what is heard in a hole between two notes is somebody else. */
function keepsPitch({ columns: { f0Hz } }: FrameTrack, start: number, end: number): boolean {
  const pitches = Array.from(f0Hz.subarray(start + 1, end)).filter((hz) => !Number.isNaN(hz));
  const own = pitches.filter((hz) =>
    [f0Hz[start], f0Hz[end]].some((beside) => Math.abs(centsBetween(hz, beside)) < SAME_CENTS),
  );
  return own.length >= SAME_SHARE * pitches.length;
}

/** A track whose level goes straight on through these dips: as it would have been heard without them. */
export function withoutDips(track: FrameTrack, dips: readonly ToneSpan[]): FrameTrack {
  if (dips.length === 0) return track;
  const columns = track.slice(0);
  const { levelDb, partialsDb } = columns;
  for (const { first, last } of dips) {
    const [from, to] = [levelDb[first - 1], levelDb[last + 1]];
    for (let i = first; i <= last; i++) {
      const share = (i - first + 1) / (last - first + 2);
      const raised = from + share * (to - from) - levelDb[i];
      levelDb[i] += raised;
      for (let k = 0; k < MAX_PARTIAL; k++) {
        const db = columnValue(partialsDb, i * MAX_PARTIAL + k);
        if (db !== null) partialsDb[i * MAX_PARTIAL + k] = db + raised;
      }
    }
  }
  return FrameTrack.from(columns);
}
