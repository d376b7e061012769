import {
  levelAtFraction,
  markFraction,
  scoreOf,
  secondsPerBeat,
  targetFraction,
  writtenTurnBeat,
  type NoteItem,
  type TimedItem,
} from '../exercise/index.ts';
import { pitchTarget, writtenMidi } from '../horn/index.ts';
import { faultOf } from './faults.ts';
import type { StandInAir } from './playAir.ts';
import type { ExerciseRequest } from './playExercise.ts';
import type { StandInJump } from './profile.ts';
import { slurMsOf, type StandInSlur } from './slur.ts';
import type { ItemTruth } from './truth.ts';

/** One unbroken tone, maybe over several slurred notes. Times in seconds from beat 0. */
export interface PlannedTone {
  startSeconds: number;
  endSeconds: number;
  soundingHz: number;
  partial: number;
  cents: number;
  /** Intended level by beat from the tone's onset. */
  levelDbAtBeat(beat: number): number;
  turnBeat: number | null;
  slurs: StandInSlur[];
  jumps: StandInJump[];
  responseMs: number;
  peakLateBeats: number | null;
}

export interface TonePlan {
  tones: PlannedTone[];
  airs: StandInAir[];
  /** Times in seconds from beat 0. */
  items: ItemTruth[];
  lengthSeconds: number;
}

/** The tongue parts a note from the one before by this much. */
const TONGUE_SECONDS = 0.12;
const BREATH_SECONDS = 0.45;
const BREATH_PAUSE_SECONDS = 0.6;
const REPEAT_PAUSE_SECONDS = 0.3;
/** Air through the horn, and breath drawn, beside the softest tone. */
const AIR_OVER_FLOOR_DB = 4;
const USUAL_GLIDE_MS = 30;
/** People hum between about these, whatever the horn. */
const HIGHEST_HUM_HZ = 240;

const MISSED: ItemTruth = { played: 'missed', onsetSeconds: null, endSeconds: null, slurMs: null };

/** What the stand-in will do with every item: tones with their slurs, breaths, and the truth about both. */
export function planTones(
  request: ExerciseRequest & { faults: NonNullable<ExerciseRequest['faults']> },
): TonePlan {
  const { exercise, hornId, a4Hz, scale, profile, faults } = request;
  const score = scoreOf(exercise);
  const beat = secondsPerBeat(exercise);
  const tones: PlannedTone[] = [];
  const airs: StandInAir[] = [];
  const airLevelDb = scale.floorDb + AIR_OVER_FLOOR_DB;
  const items = score.map((timed, index): ItemTruth => {
    const from = timed.startBeat * beat;
    const to = timed.endBeat * beat;
    const { item } = timed;
    switch (item.kind) {
      case 'note':
        return planNote(timed as TimedItem<NoteItem>, index);
      case 'air':
        if (faultOf(faults, index, 'missed')) return MISSED;
        airs.push({ startSeconds: from, endSeconds: to, levelDb: airLevelDb });
        return { played: 'asWritten', onsetSeconds: from, endSeconds: to, slurMs: null };
      case 'hum':
        return planHum(pitchTarget(item, hornId, a4Hz).targetHz, from, to, index);
      case 'rest':
        if (faultOf(faults, index, 'breathInGap'))
          airs.push({
            startSeconds: from + 0.4,
            endSeconds: from + 0.4 + BREATH_SECONDS,
            levelDb: airLevelDb,
          });
        return { played: 'asWritten', onsetSeconds: null, endSeconds: null, slurMs: null };
      default:
        return { played: 'asWritten', onsetSeconds: null, endSeconds: null, slurMs: null };
    }
  });
  return { tones, airs, items, lengthSeconds: (score.at(-1)?.endBeat ?? 0) * beat };

  function newTone(startSeconds: number, endSeconds: number, responseMs: number): PlannedTone {
    const tone: PlannedTone = {
      startSeconds,
      endSeconds,
      soundingHz: 0,
      partial: 1,
      cents: 0,
      levelDbAtBeat: () => scale.floorDb,
      turnBeat: null,
      slurs: [],
      jumps: [],
      responseMs,
      peakLateBeats: null,
    };
    tones.push(tone);
    return tone;
  }

  function planHum(targetHz: number, from: number, to: number, index: number): ItemTruth {
    if (faultOf(faults, index, 'missed')) return MISSED;
    const tone = newTone(from + 0.1, to - 0.2, 0);
    tone.soundingHz = targetHz / 2 ** Math.max(0, Math.ceil(Math.log2(targetHz / HIGHEST_HUM_HZ)));
    tone.cents = faultOf(faults, index, 'off')?.cents ?? 0;
    tone.levelDbAtBeat = () => levelAtFraction(markFraction('p'), scale);
    return {
      played: 'asWritten',
      onsetSeconds: tone.startSeconds,
      endSeconds: tone.endSeconds,
      slurMs: null,
    };
  }

  function planNote(timed: TimedItem<NoteItem>, index: number): ItemTruth {
    const { item, startBeat, endBeat } = timed;
    if (faultOf(faults, index, 'missed')) return MISSED;
    const wrong = faultOf(faults, index, 'wrongNote');
    const sounds = wrong ? { writtenMidi: writtenMidi(item.writtenMidi + wrong.semitones) } : item;
    const { targetHz, partial } = pitchTarget(sounds, hornId, a4Hz, exercise.overtones);
    const off = faultOf(faults, index, 'off');
    const slow = faultOf(faults, index, 'slowAnswer');
    const late =
      (faultOf(faults, index, 'late')?.seconds ?? 0) +
      (slow ? (slow.responseMs - profile.responseMs) / 1000 : 0);
    const startSeconds = startBeat * beat + late;
    const next = score.at(index + 1);
    const isCut =
      next?.phrase === timed.phrase && next.item.kind === 'note' && next.item.attack !== 'slurred';
    const endSeconds = endBeat * beat - (isCut ? TONGUE_SECONDS : 0);

    // A note that breaks goes on as another tone after the pause.
    const breath = faultOf(faults, index, 'earlyBreath');
    const again = faultOf(faults, index, 'repeated');
    const breaksAt = breath
      ? startSeconds + breath.atSeconds
      : again
        ? startSeconds + (endSeconds - startSeconds) / 3
        : null;
    if (breath && breaksAt !== null)
      airs.push({
        startSeconds: breaksAt + 0.08,
        endSeconds: breaksAt + 0.08 + BREATH_SECONDS,
        levelDb: airLevelDb,
      });
    const firstEnd = breaksAt ?? endSeconds;

    const slip = faultOf(faults, index, 'slip');
    const jumpsIn = (toneStart: number): StandInJump[] =>
      slip ? [{ ...slip, atSeconds: startSeconds - toneStart + slip.atSeconds }] : [];
    // A late note is meant as loud as if it had come in time.
    const levelFrom = (toneStart: number) => (beats: number) =>
      levelAtFraction(targetFraction(item, Math.max(0, toneStart / beat - startBeat + beats)), scale) +
      (off?.levelDb ?? 0);
    const startTone = (start: number, end: number, responseMs: number) => {
      const tone = newTone(start, end, responseMs);
      tone.soundingHz = targetHz;
      tone.partial = partial;
      tone.cents = off?.cents ?? 0;
      tone.levelDbAtBeat = levelFrom(start);
      const turn = writtenTurnBeat(item);
      tone.turnBeat = turn === null ? null : turn + startBeat - start / beat;
      tone.peakLateBeats = faultOf(faults, index, 'latePeak')?.beats ?? null;
      return tone;
    };

    const before = tones.at(-1);
    const parted = faultOf(faults, index, 'parted');
    if (parted && before) before.endSeconds = Math.min(before.endSeconds, startSeconds - parted.gapMs / 1000);
    const joins =
      item.attack === 'slurred' &&
      !parted &&
      before !== undefined &&
      index > 0 &&
      before.endSeconds >= startBeat * beat - 1e-6;
    let slurMs: number | null = null;
    if (joins) {
      const from = before.slurs.at(-1) ?? before;
      const slowSlur = faultOf(faults, index, 'slowSlur');
      const slur: StandInSlur = {
        atSeconds: startSeconds - before.startSeconds,
        soundingHz: targetHz,
        partial,
        glideMs: slowSlur?.glideMs ?? USUAL_GLIDE_MS,
        overshootCents: slowSlur?.overshootCents ?? 0,
        cents: off?.cents ?? 0,
        levelDb: 0,
      };
      slurMs = slurMsOf(1200 * Math.log2(from.soundingHz / targetHz), slur);
      before.slurs.push(slur);
      before.jumps.push(...jumpsIn(before.startSeconds));
      before.endSeconds = firstEnd;
      const [earlier, at, here] = [before.levelDbAtBeat, slur.atSeconds / beat, levelFrom(startSeconds)];
      before.levelDbAtBeat = (beats) => (beats < at ? earlier(beats) : here(beats - at));
      turnAt(before, index);
    } else {
      // Where air went before by itself, the tone grows out of it.
      const grows =
        index > 0 && score[index - 1].item.kind === 'air' && score[index - 1].phrase === timed.phrase;
      const responseMs = grows || item.attack === 'tongued' ? 0 : (slow?.responseMs ?? profile.responseMs);
      startTone(startSeconds, firstEnd, responseMs).jumps = jumpsIn(startSeconds);
    }
    if (breaksAt !== null)
      startTone(breaksAt + (breath ? BREATH_PAUSE_SECONDS : REPEAT_PAUSE_SECONDS), endSeconds, 0);
    return { played: wrong ? 'wrongNote' : 'asWritten', onsetSeconds: startSeconds, endSeconds, slurMs };
  }

  /** Growing before a slur and fading after it is one swell with its turn between. */
  function turnAt(tone: PlannedTone, index: number) {
    const first = score[index - 1].item as NoteItem;
    const second = score[index].item as NoteItem;
    const rises = targetFraction(first, first.lengthBeats) > targetFraction(first, 0);
    const falls = targetFraction(second, second.lengthBeats) < targetFraction(second, 0);
    if (!rises || !falls) return;
    tone.turnBeat = score[index].startBeat - tone.startSeconds / beat;
    tone.peakLateBeats ??= faultOf(faults, index, 'latePeak')?.beats ?? null;
  }
}
