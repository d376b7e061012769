import type { WrittenMidi } from '../horn/index.ts';
import {
  measuredSide,
  type PitchGuess,
  type GuessedEnd,
  type GuessedSide,
  type TakeMeasures,
} from '../judge/index.ts';
import { median, wilson, type Interval } from '../stats/index.ts';
import { figureOf } from './figures.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { spansBack } from './spansBack.ts';
import { ZONES, zoneOfNote, type Zone } from './zone.ts';

/** One call over a blind take: what the player said of one end, and what was measured there. */
export interface CallMade {
  /** When the take began, in ms. */
  at: number;
  writtenMidi: WrittenMidi;
  end: GuessedEnd;
  called: GuessedSide;
  measured: GuessedSide;
}

/** The calls of a take that can be held against a measurement. */
export function callsMade(
  call: PitchGuess,
  measures: TakeMeasures,
  writtenMidi: WrittenMidi,
  at: number,
): CallMade[] {
  return (Object.entries(call) as [GuessedEnd, GuessedSide][]).flatMap(([end, called]) => {
    const measured = measuredSide(measures, end);
    return measured === null ? [] : [{ at, writtenMidi, end, called, measured }];
  });
}

export interface Share {
  right: number;
  asked: number;
  /** 90 %. */
  interval: Interval | null;
}

export interface HumScore {
  /** Median distance either way; null without hums. */
  cents: number | null;
  count: number;
  /** How many were sharp, and flat, by more than is heard. */
  sharp: number;
  flat: number;
}

export interface EarScore {
  all: Share;
  zones: (Share & { zone: Zone })[];
  /** By what it was: how often that was heard, and what it was taken for instead. */
  sides: (Share & { side: GuessedSide; takenFor: Partial<Record<GuessedSide, number>> })[];
  /** Four weeks at a time, oldest first. */
  months: (Share & { at: number })[];
  /** How far hums were from their note: all of them, by zone, and four weeks at a time, oldest first. */
  hums: { all: HumScore; zones: (HumScore & { zone: Zone })[]; months: (HumScore & { at: number })[] };
}

const SIDES: readonly GuessedSide[] = ['flat', 'true', 'sharp'];
const MONTH_MS = 28 * 24 * 3600_000;

function shareOf(calls: readonly CallMade[]): Share {
  const right = calls.filter(({ called, measured }) => called === measured).length;
  return { right, asked: calls.length, interval: wilson(right, calls.length) };
}

/** Nearer than this few hear a difference. */
const HEARD_CENTS = 5;

function humsOf(hums: readonly { cents: number }[]): HumScore {
  return {
    cents: median(hums.map(({ cents }) => Math.abs(cents))),
    count: hums.length,
    sharp: hums.filter(({ cents }) => cents > HEARD_CENTS).length,
    flat: hums.filter(({ cents }) => cents < -HEARD_CENTS).length,
  };
}

/** How truly the player hears pitch: calls against what was measured (beyond 5 cents), and hums against their note. */
export function earScore(calls: readonly CallMade[], notes: readonly PractisedNote[]): EarScore {
  const hums = notes.flatMap((note) => {
    const cents = figureOf(note, 'humCents');
    return cents === null ? [] : [{ at: note.at, writtenMidi: note.writtenMidi, cents }];
  });
  return {
    all: shareOf(calls),
    zones: ZONES.flatMap((zone) => {
      const own = calls.filter(({ writtenMidi }) => zoneOfNote(writtenMidi) === zone);
      return own.length === 0 ? [] : [{ zone, ...shareOf(own) }];
    }),
    sides: SIDES.flatMap((side) => {
      const own = calls.filter(({ measured }) => measured === side);
      if (own.length === 0) return [];
      const takenFor = Object.fromEntries(
        SIDES.filter((other) => other !== side).map((other) => [
          other,
          own.filter(({ called }) => called === other).length,
        ]),
      );
      return [{ side, ...shareOf(own), takenFor }];
    }),
    months: spansBack(calls, MONTH_MS).map((month) => ({ at: month[0].at, ...shareOf(month) })),
    hums: {
      all: humsOf(hums),
      zones: ZONES.flatMap((zone) => {
        const own = hums.filter(({ writtenMidi }) => zoneOfNote(writtenMidi) === zone);
        return own.length === 0 ? [] : [{ zone, ...humsOf(own) }];
      }),
      months: spansBack(hums, MONTH_MS).map((month) => ({ at: month[0].at, ...humsOf(month) })),
    },
  };
}
