import { fractionAtLevel, isAlone, scoreOf, type NoteItem } from '../exercise/index.ts';
import { LAST_REGULAR, type WrittenMidi } from '../horn/index.ts';
import type { NoteAnalysis, TakeAnalysis, TakeContext } from '../judge/index.ts';

/** A pitch at a loudness: cents from the tempered note, level in tens of dB over the middle of the player's scale. */
export interface CentsAtLevel {
  cents: number;
  level: number;
}

/** One note as it was played by its own fingering; null where there is no answer. */
export interface NoteObservation {
  writtenMidi: WrittenMidi;
  points: CentsAtLevel[];
  responseMs: number | null;
  holdSeconds: number | null;
  noiseToHarmonicDb: number | null;
  centroidHarmonics: number | null;
  /** Against the middle of the player's scale. */
  levelDb: number | null;
  /** Softest and loudest place on the player's scale, 0 ppp - 1 fff; null where nothing was asked of them. */
  softest: number | null;
  loudest: number | null;
  /** Entered by tongue or breath; null where either was free. */
  attack: 'tongued' | 'breath' | null;
  /** What went wrong at its beginning: nothing, another partial or a jump, late. */
  start: 'clean' | 'jumped' | 'slow';
}

/** Farther off a note was not that note, or something else than the horn's tendency. */
const MOST_CENTS = 70;
/** Levels nearer together than this tell no slope. */
const LEAST_SPAN_DB = 6;

/** An answer later than this is a failed beginning, as the widest tolerance has it. */
const SLOW_MS = 250;

/** The ends of a swell are told by the frames within 3 dB of its 5th and 95th percentile: in the middle so far inside. */
const END_INSIDE_DB = 1.2;

/** Played in the ordinary way: not an overtone, not other keys (over F#6 all are the player's own), no subtone, no bend, no vibrato. */
const isOrdinary = (item: NoteItem) =>
  item.fingered === null &&
  (!item.keys || item.writtenMidi > LAST_REGULAR) &&
  !item.tone &&
  !item.bend &&
  (item.vibrato ?? 'off') === 'off';

/** What a judged take tells of the notes of the horn; nothing from neck or mouthpiece alone, or under a drone. */
export function observationsIn(context: TakeContext, analysis: TakeAnalysis): NoteObservation[] {
  const { exercise, droneSpoils = false } = context;
  if (isAlone(exercise) || droneSpoils) return [];
  const score = scoreOf(exercise);
  return analysis.items.flatMap((item): NoteObservation[] => {
    const written = score.at(item.item)?.item;
    if (item.kind !== 'note' || item.status !== 'played' || !item.measures) return [];
    if (written?.kind !== 'note' || !isOrdinary(written)) return [];
    return [observe(written, item, item.measures, context)];
  });
}

function observe(
  written: NoteItem,
  { writtenMidi, events }: NoteAnalysis,
  m: NonNullable<NoteAnalysis['measures']>,
  { scale }: TakeContext,
): NoteObservation {
  const middleDb = (scale.floorDb + scale.ceilingDb) / 2;
  const jumped = m.firstPartial !== null || events.some(({ type }) => type === 'jump' || type === 'crack');
  const half = (m.dynamicSpanDb ?? 0) / 2;
  const levelDb = m.levelDb === null ? null : m.levelDb - middleDb;
  const at = (fraction: number, level: number | null) =>
    level === null ? null : fractionAtLevel(middleDb + level + fraction * half, scale);
  return {
    writtenMidi,
    points: pointsOf(m, levelDb),
    responseMs: m.responseMs,
    holdSeconds: written.open ? m.holdSeconds : null,
    noiseToHarmonicDb: m.noiseToHarmonicDb,
    centroidHarmonics: m.centroidHarmonics,
    levelDb,
    softest: at(-1, levelDb),
    loudest: at(1, levelDb),
    attack: written.attack === 'tongued' || written.attack === 'breath' ? written.attack : null,
    start: jumped ? 'jumped' : (m.responseMs ?? 0) > SLOW_MS ? 'slow' : 'clean',
  };
}

/** A swell tells its two ends, a steady note one pitch. */
function pointsOf(m: NonNullable<NoteAnalysis['measures']>, levelDb: number | null): CentsAtLevel[] {
  if (levelDb === null || m.firstPartial !== null) return [];
  const span = m.dynamicSpanDb ?? 0;
  const half = span / 2 - END_INSIDE_DB;
  const ends =
    m.softEndCents !== null && m.loudEndCents !== null && span >= LEAST_SPAN_DB
      ? [
          { cents: m.softEndCents, level: (levelDb - half) / 10 },
          { cents: m.loudEndCents, level: (levelDb + half) / 10 },
        ]
      : m.centsMean === null
        ? []
        : [{ cents: m.centsMean, level: levelDb / 10 }];
  return ends.filter(({ cents }) => Math.abs(cents) <= MOST_CENTS);
}
