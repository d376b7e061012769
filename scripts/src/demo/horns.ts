import { hornById, writtenMidi, type HornId } from '@inner-hum/core/horn';
import { WARM_UP, type SimulatedProfile } from '@inner-hum/core/simulated';
import { centsPerMm, usualModel } from '@inner-hum/core/tendency';
import { leak, movedOn, REPAIRED, wear } from './story.ts';

/** G sharp 4, whose pad was seated anew. */
const G_SHARP = 68;
const LOW_PAD_CENTS = -30;

/** The invented alto: sharp low notes, an A that lies by itself, a flat open C sharp, sharp over the break. */
const ALTO_OFF: Partial<Record<number, number>> = {
  58: 8,
  59: 7,
  60: 5,
  61: 3,
  69: 19,
  72: -6,
  73: -14,
  74: 12,
  75: 8,
  76: 5,
  87: 6,
  88: 8,
};
const TENOR_OFF: Partial<Record<number, number>> = { 58: -4, 60: -2, 69: 9, 73: -18, 74: 15, 76: 9, 84: -7 };

/** Answers late: the lowest notes, and D over the break. */
const ALTO_SLOW: Partial<Record<number, number>> = { 58: 330, 59: 290, 60: 240, 61: 190, 74: 260 };

/** Where a note of the invented horns lies on a day, in cents. */
export function offOf(hornId: HornId, midi: number, daysAgo: number): number {
  const off = (hornId === 'alto' ? ALTO_OFF : TENOR_OFF)[midi] ?? 0;
  // Since the pad was seated anew it opens too little.
  const lowPad = hornId === 'alto' && midi === G_SHARP && daysAgo < REPAIRED ? LOW_PAD_CENTS : 0;
  const push = hornId === 'alto' ? movedOn(daysAgo) : 0.5;
  return (
    off +
    lowPad +
    2 * Math.sin(2.3 * midi) -
    push * centsPerMm(writtenMidi(midi), hornById(hornId), usualModel(hornId))
  );
}

/** How long a note takes to answer, in ms: the horn, its leak, its reed. */
export function answerOf(hornId: HornId, midi: number, daysAgo: number): number {
  const slow = hornId === 'alto' ? (ALTO_SLOW[midi] ?? 90) : midi < 62 ? 230 : 110;
  const leaking = midi < 66 ? 300 * leak(hornId, daysAgo) : 0;
  return slow + leaking + 90 * wear(hornId, daysAgo);
}

/** A player of this horn on one note on a day: the better it is mastered (0-1), the steadier. */
export function profileOf(hornId: HornId, midi: number, daysAgo: number, mastery: number): SimulatedProfile {
  const low = Math.max(0, 66 - midi);
  const air = 5 * wear(hornId, daysAgo) + (midi < 66 ? 7 * leak(hornId, daysAgo) : 0);
  return {
    ...WARM_UP,
    tendencyCents: offOf(hornId, midi, daysAgo),
    bendCentsPer10Db: -7 - 0.4 * low + 4 * mastery,
    jitterCents: 2.2 - 1.5 * mastery,
    wobbleDb: 0.7 - 0.5 * mastery,
    breathDbSoft: -16 + 0.5 * low + air,
    breathDbLoud: -32 + 0.5 * low + air,
    responseMs: answerOf(hornId, midi, daysAgo),
  };
}
