import {
  centsAtBeat,
  levelAtFraction,
  noteTarget,
  targetFraction,
  writtenTurnBeat,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { faultOf } from './faults.ts';
import { MISSED, newTone, planBreath, type PlannedTone, type Planning } from './planning.ts';
import { slurMsOf, type StandInSlur } from './slur.ts';
import type { ItemTruth } from './truth.ts';

/** The tongue parts a note from the one before by this much. */
const TONGUE_SECONDS = 0.12;
const BREATH_PAUSE_SECONDS = 0.6;
const REPEAT_PAUSE_SECONDS = 0.3;
/** What is left of a note after a squawk is no tone if it is shorter. */
const LEAST_TONE_SECONDS = 0.1;
const USUAL_GLIDE_MS = 30;
/** The tongue needs so long from one vowel to the next. */
const VOWEL_SECONDS = 0.2;

/** A note as it will be played, faults and all; times in seconds from beat 0. */
interface MeantNote {
  timed: TimedItem<NoteItem>;
  index: number;
  targetHz: number;
  partial: number;
  cents: number;
  startSeconds: number;
  endSeconds: number;
  /** Where it breaks off, and goes on as another tone. */
  breaksAt: number | null;
  goesOnAt: number;
}

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

function meantNote(
  { request, score, secondsPerBeat: beat }: Planning,
  timed: TimedItem<NoteItem>,
  index: number,
): MeantNote {
  const { hornId, a4Hz, exercise, profile, faults } = request;
  const { item, startBeat, endBeat, phrase } = timed;
  const wrong = faultOf(faults, index, 'wrongNote');
  const sounds = wrong ? { writtenMidi: writtenMidi(item.writtenMidi + wrong.semitones) } : item;
  const target = noteTarget(exercise, sounds, hornId, a4Hz);
  const other = faultOf(faults, index, 'wrongPartial')?.partial ?? null;
  const partial = other ?? target.partial;
  const targetHz = other === null ? target.targetHz : other * target.tubeHz;
  // The air goes at the beat, the tone comes later.
  const slow = faultOf(faults, index, 'slowAnswer');
  const slowSeconds = slow ? (slow.responseMs - profile.responseMs) / 1000 : 0;
  const startSeconds = startBeat * beat + slowSeconds + (faultOf(faults, index, 'late')?.seconds ?? 0);
  const next = score.at(index + 1);
  const isCut = next?.phrase === phrase && next.item.kind === 'note' && next.item.attack !== 'slurred';
  const endSeconds = endBeat * beat - (isCut ? TONGUE_SECONDS : 0);
  const breath = faultOf(faults, index, 'earlyBreath');
  const again = faultOf(faults, index, 'repeated');
  const third = startSeconds + (endSeconds - startSeconds) / 3;
  const breaksAt = breath ? startSeconds + breath.atSeconds : again ? third : null;
  return {
    timed,
    index,
    targetHz,
    partial,
    cents: faultOf(faults, index, 'off')?.cents ?? 0,
    startSeconds,
    endSeconds,
    breaksAt,
    goesOnAt: (breaksAt ?? 0) + (breath ? BREATH_PAUSE_SECONDS : REPEAT_PAUSE_SECONDS),
  };
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

/** The written bend, as deep as this player goes, and the swing of a vibrato. */
function bendOf(
  { request: { faults }, secondsPerBeat: beat }: Planning,
  { timed: { item, startBeat }, index }: MeantNote,
  toneStart: number,
): Course {
  const { bend } = item;
  const swing = swingOf(faultOf(faults, index, 'vibrato') ?? VIBRATO[item.vibrato ?? 'off']);
  if (!bend) return swing;
  const share = faultOf(faults, index, 'shallowBend')?.share ?? 1;
  return (seconds: number) =>
    share * centsAtBeat(bend, (toneStart + seconds) / beat - startBeat) + (swing?.(seconds) ?? 0);
}

/** How this player's vibrato goes. */
const VIBRATO = {
  off: { rateHz: 0, widthCents: 0 },
  normal: { rateHz: 5.2, widthCents: 20 },
  slow: { rateHz: 3.2, widthCents: 22 },
};
/** A vibrato opens from a straight tone. */
const OPENING_SECONDS = 0.3;

function swingOf({ rateHz, widthCents }: { rateHz: number; widthCents: number }): Course {
  if (widthCents === 0) return null;
  return (seconds) =>
    widthCents *
    Math.min(1, Math.max(0, seconds) / OPENING_SECONDS) *
    Math.sin(2 * Math.PI * rateHz * seconds);
}

/** From bright to dark through the written vowels, one after the other. */
function colourOf(
  { request: { faults }, secondsPerBeat: beat }: Planning,
  { timed: { item, startBeat }, index }: MeantNote,
  toneStart: number,
) {
  if (isSubtone(faults, item, index)) return () => SUBTONE_COLOUR;
  const fixed = faultOf(faults, index, 'colour');
  if (fixed) return () => fixed.at;
  const { words, judged } = item;
  if (!words || words.length < 2 || !judged?.includes('colour') || faultOf(faults, index, 'oneColour'))
    return null;
  return (seconds: number) => {
    const at = (toneStart + seconds) / beat - startBeat;
    const index = Math.max(
      0,
      words.findLastIndex((word) => word.beat <= at),
    );
    const arrived = index === 0 ? 1 : Math.min(1, ((at - words[index].beat) * beat) / VOWEL_SECONDS);
    return 1 - Math.max(0, index - 1 + arrived) / (words.length - 1);
  };
}

/** How a subtone is made: round and airy; a weak one is more air than tone. */
const SUBTONE_COLOUR = 0;
const SUBTONE_BREATH_DB = -9;
const WEAK_BREATH_DB = 4;

function isSubtone(faults: Planning['request']['faults'], { tone }: NoteItem, index: number): boolean {
  return tone === 'subtone' && !faultOf(faults, index, 'noSubtone') && !faultOf(faults, index, 'weak');
}

function breathOf({ request: { faults } }: Planning, { timed: { item }, index }: MeantNote) {
  if (faultOf(faults, index, 'weak')) return () => WEAK_BREATH_DB;
  return isSubtone(faults, item, index) ? () => SUBTONE_BREATH_DB : null;
}

type Course = ((seconds: number) => number | null) | null;

/** One course until a moment, another from there on; each counts from its own beginning. */
function joined(before: Course, atSeconds: number, after: Course): Course {
  if (!before && !after) return null;
  return (seconds) =>
    seconds < atSeconds ? (before?.(seconds) ?? null) : (after?.(seconds - atSeconds) ?? null);
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
  const slur: StandInSlur = {
    atSeconds: startSeconds - before.startSeconds,
    soundingHz: targetHz,
    partial,
    glideMs: slow?.glideMs ?? USUAL_GLIDE_MS,
    overshootCents: slow?.overshootCents ?? 0,
    cents,
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
