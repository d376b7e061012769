import { noteTarget, onlyNote, type ExerciseItem, type TimedItem } from '../exercise/index.ts';
import { FRAME_SECONDS } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { percentile } from '../stats/index.ts';
import { findToneSpan, onsetSeconds, partialOf } from '../tone/index.ts';
import { isRaised } from './bend.ts';
import { changeNear, changesOfTone } from './changeOfTone.ts';
import { followScore, type Found } from './follow.ts';
import type { JudgeContext } from './judgeContext.ts';

/** Farther from its note a tone is another note, unless it is a partial of the same tube. */
const MOST_BEND_CENTS = 90;

/** The median as a pitch that was heard: where half a tone is one pitch and half another, their mean was not. */
const middlePitch = (pitches: Float32Array): number | undefined =>
  pitches.toSorted()[Math.floor((pitches.length - 1) / 2)];

/** A take of one note is one tone, whatever happens in it; anything else is followed. */
export function findItems(judging: JudgeContext): (Found | null)[] {
  const { track, context, score } = judging;
  const { exercise, hornId, a4Hz, roomFloorDb, beatZeroSeconds } = context;
  const note = onlyNote(exercise);
  if (note === null)
    return withChangedFingers(
      judging,
      followScore({ track, score, exercise, hornId, a4Hz, roomFloorDb, beatZeroSeconds }),
    );
  const span = findToneSpan(track, roomFloorDb);
  if (span === null) return [null];
  const pitches = track.columns.f0Hz.subarray(span.first, span.last + 1).filter((hz) => !Number.isNaN(hz));
  // Where it is bent, the note is what it is bent from: the highest that is kept, or the lowest where it is raised.
  const kept = note.bend && isRaised(note.bend) ? 10 : 90;
  const soundingHz = (note.bend ? percentile(Array.from(pitches), kept) : middlePitch(pitches)) ?? 0;
  const { targetHz, tubeHz } = noteTarget(exercise, note, hornId, a4Hz);
  const isOther =
    Math.abs(centsBetween(soundingHz, targetHz)) > MOST_BEND_CENTS && partialOf(soundingHz, tubeHz) === null;
  return [{ span, status: isOther ? 'wrongNote' : 'played', soundingHz }];
}

/** What is left of a tone for a note slurred to at the same pitch; of a short one this share. */
const LEAST_SECONDS = 0.25;
const LEAST_SHARE = 0.6;
/** So far from where it is written a change of the fingers is looked for, as a share of the shorter note. */
const REACH_SHARE = 0.4;
const SAME_CENTS = 40;
/** A tear so near to where the fingers change is where the player parted the notes. */
const NEAR_SECONDS = 0.12;

/**
 * Where only the fingers change, the sound goes on as one tone: a note slurred to at the pitch of the note before it begins
 * where the tone changes near the written place (by the clock where there is one, else after the length of that note), or there where
 * nothing changes. The same where a note slipped to the pitch of the next.
 */
function withChangedFingers(judging: JudgeContext, found: readonly (Found | null)[]): (Found | null)[] {
  const { track, score, context, secondsPerBeat } = judging;
  const { exercise, hornId, a4Hz, beatZeroSeconds } = context;
  if (exercise.start === 'ownTime') return withChangesInOwnTime(judging, found);
  const targetOf = ({ item }: TimedItem) =>
    item.kind === 'note' ? noteTarget(exercise, item, hornId, a4Hz) : null;
  const hzOf = (timed: TimedItem) => targetOf(timed)?.targetHz ?? null;
  const framesOf = ({ item }: TimedItem) => (item.lengthBeats * secondsPerBeat) / FRAME_SECONDS;
  const parted = [...found];
  for (let i = 1; i < score.length; i++) {
    const [before, here] = [score[i - 1], score[i]];
    const tone = parted[i - 1];
    const [from, to] = [hzOf(before), hzOf(here)];
    if (!tone || from === null || to === null || before.phrase !== here.phrase) continue;
    if (here.item.kind !== 'note' || Math.abs(centsBetween(from, to)) > SAME_CENTS) continue;
    const after = parted[i];
    if (tone.status !== 'played' || after?.status === 'wrongNote') continue;
    const { first } = tone.span;
    const last = after?.span.last ?? tone.span.last;
    const change =
      beatZeroSeconds === null
        ? first + Math.round(framesOf(before))
        : Math.round((beatZeroSeconds + here.startBeat * secondsPerBeat) / FRAME_SECONDS);
    const least = Math.min(LEAST_SECONDS / FRAME_SECONDS, LEAST_SHARE * framesOf(here));
    if (change <= first || last - change < least) continue;
    // A tear far from the change is one of the two notes' own; near it, it is where they were parted.
    const tear = after && Math.min(Math.abs(tone.span.last - change), Math.abs(after.span.first - change));
    if (tear !== null && tear !== undefined && tear < NEAR_SECONDS / FRAME_SECONDS) continue;
    const reach = Math.round(REACH_SHARE * Math.min(framesOf(before), framesOf(here)));
    const heard = hasOtherFingers(before.item, here.item)
      ? changeNear(track, { first, soundingHz: tone.soundingHz }, change, reach)
      : null;
    const begin = heard === null || heard <= first || heard >= last ? change : heard;
    parted[i - 1] = { ...tone, span: { first, last: begin - 1 } };
    const { isAssumed: _, ...same } = tone;
    parted[i] = { ...same, span: { first: begin, last }, ...(begin !== heard && { isAssumed: true }) };
  }
  // On one tube a note that fell to the partial of the next one is the first part of that one's tone.
  for (let i = score.length - 2; i >= 0; i--) {
    const [here, next] = [score[i], score[i + 1]];
    const tone = parted[i + 1];
    if (parted[i] || !tone || here.phrase !== next.phrase) continue;
    if (next.item.kind !== 'note' || next.item.attack !== 'slurred') continue;
    if (targetOf(here)?.tubeHz !== targetOf(next)?.tubeHz) continue;
    const { first, last } = tone.span;
    const change = first + Math.round(framesOf(here));
    if (last - change < Math.max(LEAST_SECONDS / FRAME_SECONDS, framesOf(next) / 2)) continue;
    parted[i] = { ...tone, span: { first, last: change - 1 } };
    parted[i + 1] = { ...tone, span: { first: change, last } };
  }
  return parted;
}

const hasOtherFingers = (before: ExerciseItem, here: ExerciseItem) =>
  before.kind === 'note' &&
  here.kind === 'note' &&
  (before.fingered !== here.fingered || before.keys?.join() !== here.keys?.join());

/** The same in the player's own time: where nothing but the fingers changes, the notes part where the tone changes most. */
function withChangesInOwnTime(
  { track, score, context: { exercise, hornId, a4Hz } }: JudgeContext,
  found: readonly (Found | null)[],
): (Found | null)[] {
  const parted = [...found];
  const hzOf = (index: number) => {
    const { item } = score[index];
    return item.kind === 'note' ? noteTarget(exercise, item, hornId, a4Hz).targetHz : null;
  };
  const goesOn = (index: number) => {
    const here = score.at(index);
    const [from, to] = [hzOf(index - 1), here ? hzOf(index) : null];
    return (
      here?.item.kind === 'note' &&
      here.phrase === score[index - 1].phrase &&
      from !== null &&
      to !== null &&
      Math.abs(centsBetween(from, to)) <= SAME_CENTS
    );
  };
  for (let from = 0, to = 1; from < score.length; from = to, to = from + 1) {
    if (found[from]?.status === 'wrongNote') continue;
    while (to < score.length && goesOn(to) && found[to]?.status !== 'wrongNote') to++;
    const tones = found.slice(from, to).filter((tone) => tone?.status === 'played');
    const [tone] = tones;
    if (!tone || tones.length === to - from) continue;
    const { first } = tone.span;
    const last = tones.at(-1)?.span.last ?? first;
    const edges = [first, ...changesOfTone(track, first, last, to - from - 1), last + 1];
    for (let i = from; i < to; i++)
      parted[i] = { ...tone, span: { first: edges[i - from], last: edges[i - from + 1] - 1 } };
  }
  return parted;
}

/**
 * Beat 0 on the take's clock, as each phrase of the score has it: where the take was counted, one clock for all; else
 * the first note that was played as written sets the beat of its phrase.
 */
export function beatZeros(
  { track, score, secondsPerBeat, context: { beatZeroSeconds } }: JudgeContext,
  found: readonly (Found | null)[],
): number[] {
  const zeros: number[] = [];
  for (const { phrase } of score) {
    if (phrase < zeros.length) continue;
    const first =
      firstOf(({ status }, index) => status === 'played' && score[index].item.kind === 'note') ??
      firstOf(() => true);
    const own =
      first && onsetSeconds(track, first.span.first) - score[first.index].startBeat * secondsPerBeat;
    zeros.push(beatZeroSeconds ?? own ?? zeros.at(-1) ?? 0);

    function firstOf(test: (item: Found, index: number) => boolean) {
      const index = found.findIndex(
        (item, i) => score[i].phrase === phrase && item !== null && test(item, i),
      );
      const item = found[index];
      return item ? { index, span: item.span } : null;
    }
  }
  return zeros;
}

/** Slurred as it is written: out of a note before it that was played. */
export function isSlurredTo(
  score: readonly TimedItem[],
  found: readonly (Found | null)[],
  index: number,
): boolean {
  const { item, phrase } = score[index];
  return (
    item.kind === 'note' &&
    item.attack === 'slurred' &&
    index > 0 &&
    score[index - 1].phrase === phrase &&
    found[index - 1] !== null
  );
}
