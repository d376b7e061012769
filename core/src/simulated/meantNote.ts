import { noteTarget, type NoteItem, type TimedItem } from '../exercise/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { faultOf } from './faults.ts';
import type { Planning } from './planning.ts';

/** The tongue parts a note from the one before by this much. */
const TONGUE_SECONDS = 0.12;
const BREATH_PAUSE_SECONDS = 0.6;
const REPEAT_PAUSE_SECONDS = 0.3;

/** A note as it will be played, faults and all; times in seconds from beat 0. */
export interface MeantNote {
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

/** What a player means to play of a written note, with the faults that are asked for. */
export function meantNote(
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
