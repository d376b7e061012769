import {
  levelAtFraction,
  targetFraction,
  writtenTurnBeat,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { faultOf } from './faults.ts';
import { meantNote, type MeantNote } from './meantNote.ts';
import { bendOf, breathOf, colourOf, joined } from './noteCourses.ts';
import { MISSED, newTone, planBreath, type PlannedTone, type Planning } from './planning.ts';
import { slurMsOf, type SimulatedSlur } from './slur.ts';
import type { ItemTruth } from './truth.ts';

/** What is left of a note after a squawk is no tone if it is shorter. */
const LEAST_TONE_SECONDS = 0.1;
const USUAL_GLIDE_MS = 30;

/** Plans one note: out of the tone before it where it is slurred, as a tone of its own otherwise. */
export function planNote(planning: Planning, timed: TimedItem<NoteItem>, index: number): ItemTruth {
  const { faults } = planning.request;
  if (faultOf(faults, index, 'missed')) return MISSED;
  const meant = meantNote(planning, timed, index);
  const { endSeconds, breaksAt, goesOnAt } = meant;
  const startSeconds = squawkFirst(planning, meant);
  if (endSeconds - startSeconds < LEAST_TONE_SECONDS) return MISSED;
  meant.startSeconds = startSeconds;
  const before = planning.tones.at(-1);
  const parted = faultOf(faults, index, 'parted');
  if (parted && before) before.endSeconds = Math.min(before.endSeconds, startSeconds - parted.gapMs / 1000);
  const isOpen =
    before !== undefined && before.endSeconds >= timed.startBeat * planning.secondsPerBeat - 1e-6;
  const joins = timed.item.attack === 'slurred' && !parted && index > 0 && isOpen;
  const slurMs = joins ? slurInto(planning, before, meant) : null;
  if (!joins) startNote(planning, meant, startSeconds, breaksAt ?? endSeconds);
  if (faultOf(faults, index, 'earlyBreath') && breaksAt !== null) planBreath(planning, breaksAt + 0.08);
  if (breaksAt !== null) startTone(planning, meant, goesOnAt, endSeconds);
  const played = faultOf(faults, index, 'wrongNote')
    ? 'wrongNote'
    : faultOf(faults, index, 'wrongPartial')
      ? 'wrongPartial'
      : 'asWritten';
  return { played, onsetSeconds: startSeconds, endSeconds, slurMs };
}

/** The squawk that goes before the tone, if any; returns when the tone begins. */
function squawkFirst(planning: Planning, meant: MeantNote): number {
  const { startSeconds, endSeconds, index, targetHz } = meant;
  const squawk = faultOf(planning.request.faults, index, 'squawk');
  if (!squawk) return startSeconds;
  const toneStart = startSeconds + squawk.seconds;
  planning.squawks.push({
    startSeconds,
    endSeconds: Math.min(endSeconds, toneStart),
    levelDb: levelFrom(planning, meant, startSeconds)(0),
    soundingHz: targetHz,
  });
  return toneStart;
}

/** Level by beat from the beginning of a tone. A late note is meant as loud as if it had come in time. */
function levelFrom(
  { request: { scale, faults }, secondsPerBeat: beat }: Planning,
  { timed, index }: MeantNote,
  toneStart: number,
) {
  const louderDb = faultOf(faults, index, 'off')?.levelDb ?? 0;
  const lead = toneStart / beat - timed.startBeat;
  return (beats: number) =>
    levelAtFraction(targetFraction(timed.item, Math.max(0, lead + beats)), scale) + louderDb;
}

function jumpsIn({ request: { faults } }: Planning, { index, startSeconds }: MeantNote, toneStart: number) {
  const slip = faultOf(faults, index, 'slip');
  return slip ? [{ ...slip, atSeconds: startSeconds - toneStart + slip.atSeconds }] : [];
}

function startTone(planning: Planning, meant: MeantNote, start: number, end: number): PlannedTone {
  const { timed, index, targetHz, partial, cents } = meant;
  const turn = writtenTurnBeat(timed.item);
  const tone = newTone(planning, start, end);
  return Object.assign(tone, {
    soundingHz: targetHz,
    partial,
    cents,
    levelDbAtBeat: levelFrom(planning, meant, start),
    turnBeat: turn === null ? null : turn + timed.startBeat - start / planning.secondsPerBeat,
    peakLateBeats: faultOf(planning.request.faults, index, 'latePeak')?.beats ?? null,
    bendCents: bendOf(planning, meant, start),
    colourAt: colourOf(planning, meant, start),
    breathDbAt: breathOf(planning, meant),
  });
}

/** A tone of its own: tongued, out of its own air, or out of the air that was written before it. */
function startNote(planning: Planning, meant: MeantNote, start: number, end: number): void {
  const { request, score } = planning;
  const { timed, index } = meant;
  const before = index > 0 ? score[index - 1] : null;
  const grows = before?.item.kind === 'air' && before.phrase === timed.phrase;
  const tone = startTone(planning, meant, start, end);
  tone.jumps = jumpsIn(planning, meant, start);
  if (!grows && timed.item.attack !== 'tongued')
    tone.responseMs = faultOf(request.faults, index, 'slowAnswer')?.responseMs ?? request.profile.responseMs;
}

/** Goes on in the tone before; returns slurMs by construction. */
function slurInto(planning: Planning, before: PlannedTone, meant: MeantNote): number {
  const { request, secondsPerBeat: beat } = planning;
  const { index, targetHz, partial, cents, startSeconds, endSeconds, breaksAt } = meant;
  const slow = faultOf(request.faults, index, 'slowSlur');
  const from = before.slurs.at(-1) ?? before;
  const slur: SimulatedSlur = {
    atSeconds: startSeconds - before.startSeconds,
    soundingHz: targetHz,
    partial,
    glideMs: slow?.glideMs ?? USUAL_GLIDE_MS,
    overshootCents: slow?.overshootCents ?? 0,
    // The whole tone is off by what its first note is.
    cents: cents - before.cents,
  };
  before.slurs.push(slur);
  before.jumps.push(...jumpsIn(planning, meant, before.startSeconds));
  before.endSeconds = breaksAt ?? endSeconds;
  before.bendCents = joined(before.bendCents, slur.atSeconds, bendOf(planning, meant, startSeconds));
  before.colourAt = joined(before.colourAt, slur.atSeconds, colourOf(planning, meant, startSeconds));
  before.breathDbAt = joined(before.breathDbAt, slur.atSeconds, breathOf(planning, meant));
  const [earlier, at, here] = [
    before.levelDbAtBeat,
    slur.atSeconds / beat,
    levelFrom(planning, meant, startSeconds),
  ];
  before.levelDbAtBeat = (beats) => (beats < at ? earlier(beats) : here(beats - at));
  turnAt(planning, before, index);
  return slurMsOf(1200 * Math.log2(from.soundingHz / targetHz), slur);
}

/** Growing before a slur and fading after it is one swell with its turn between. */
function turnAt({ score, secondsPerBeat, request }: Planning, tone: PlannedTone, index: number): void {
  const first = score[index - 1].item as NoteItem;
  const second = score[index].item as NoteItem;
  const rises = targetFraction(first, first.lengthBeats) > targetFraction(first, 0);
  const falls = targetFraction(second, second.lengthBeats) < targetFraction(second, 0);
  if (!rises || !falls) return;
  tone.turnBeat = score[index].startBeat - tone.startSeconds / secondsPerBeat;
  tone.peakLateBeats ??= faultOf(request.faults, index, 'latePeak')?.beats ?? null;
}
