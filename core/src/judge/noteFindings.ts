import { shapeOf, type NoteItem } from '../exercise/index.ts';
import { isRaised } from './bend.ts';
import { BEYOND_BAND_DB, levelFindings, type NoteLevel } from './levelFindings.ts';
import { OWN_TIME_LEAST_SECONDS } from './follow.ts';
import { restartFindings } from './restarts.ts';
import type { Finding } from './finding.ts';
import type { ItemMeasures } from './measures.ts';
import type { TakeEvent } from './takeEvent.ts';
import type { Tolerance } from './tolerances.ts';
import { isVibrato, vibratoFindings } from './vibratoAsked.ts';

/** A peak this far from its beat is heard as early or late. */
const PEAK_BEATS = 0.3;
/** A note shorter than this share of what is written was broken off. */
const SHORT_SHARE = 0.85;
/** A hole of the tongue takes so much of a note and makes it detached, not short. */
const DETACHED_SECONDS = 0.2;
/** A hole this long is a new beginning, not a flicker. */
const RESTART_SECONDS = 0.2;
const SLUR_GAP_MS = 50;
/** A change of pitch is heard as a slide from about here on. */
const SLOW_SLUR_MS = 120;
/** First instants are rougher than what follows: this much wider than the pitch band. */
const LANDING_BANDS = 2.5;
const OVERSHOOT_BANDS = 3;
/** Air goes long before a subtone: that is how it is done. */
const SUBTONE_AIR_MS = 800;
/** More of its time than this a hairpin must not go the other way. */
const WRONG_WAY_PERCENT = 5;
/** Echoes make a level go back and forth for as long again. */
const RINGING_WRONG_WAY_PERCENT = 10;
/** Noise against tone at a soft end: from here on more breath than is wanted, and so much more than this player's usual. */
const AIRY_DB = -6;
const AIRIER_DB = 6;
/** A tone that sinks or rises by this at its end has no end. */
const END_SAG_CENTS = 25;
/** A tone that takes longer than this to go has no end; most rooms ring less. */
const END_FADE_MS = 400;
/** A bend that comes this near to what is written is as written. */
const BEND_SHARE = 0.85;
/** Colour that moves by less than this share of its own middle is heard as one colour. */
const COLOUR_SHARE = 0.12;

/** A note that sounded this long on its partial has spoken. */
const SPOKE_SECONDS = 0.2;
/** A slip that lasts this near to the end was not mended. */
const STAYED_SECONDS = 0.2;
/** Two sounds of one pitch nearer than this are hard to tell apart by colour. */
const MATCH_DB = 4;

export interface NoteHeard {
  note: NoteItem;
  measures: ItemMeasures;
  /** Of this note only. */
  events: readonly TakeEvent[];
  onsetSeconds: number;
  tolerance: Tolerance;
  writtenSeconds: number;
  /** The note before stood out of the line, and this one is where the line was. */
  isBackInLine: boolean;
  /** Held until the player moves: it is short only where it hardly sounded. */
  isOwnTime: boolean;
  /** When it should end, on the take's clock. */
  writtenEndSeconds: number;
  /** Partials of the fingered tube: the one written, and the one that sounded for most of the note. */
  partial: number;
  heardPartial: number | null;
  /** The hole between it and a note that is slurred to; null where there is none. */
  holeAfterMs: number | null;
  /** Air was drawn in its hole. */
  breathHeard: boolean;
  /** The sound went on out of the note before without a break, however it is written. */
  isJoined: boolean;
  airBeforeWasWritten: boolean;
  /** The room rings on. */
  rings: boolean;
  /** Air before it would have been heard, had there been any. */
  airWouldBeHeard: boolean;
  usualSoftBreathDb: number | null;
  level: NoteLevel;
}

/** Everything that stood out in one note, in no order. */
export function noteFindings(heard: NoteHeard): Finding[] {
  const {
    note,
    measures: m,
    events,
    onsetSeconds,
    tolerance,
    writtenSeconds,
    writtenEndSeconds,
    breathHeard,
  } = heard;
  const found: Finding[] = [];
  const isSteady = shapeOf(note) === 'steady';
  const isSubtone = note.tone === 'subtone';
  const since = (time: number) => time - onsetSeconds;

  const end = events.find((event) => event.type === 'end');
  const jump = events.find((event) => event.type === 'jump');
  // What spoke right and fell later was not wrong from the start.
  const spoke = m.firstPartial === null && jump && since(jump.timeSeconds) > SPOKE_SECONDS;
  const wrong = spoke ? null : wrongPartial(heard.heardPartial, heard.partial);
  if (wrong) return [wrong];
  if (jump?.type === 'jump')
    if (m.firstPartial === null || since(jump.timeSeconds) > 0.1) {
      const stays = jump.timeSeconds + jump.lengthSeconds > (end?.timeSeconds ?? 0) - STAYED_SECONDS;
      const kind = stays && jump.to < jump.from ? 'fellBack' : 'jump';
      found.push({ kind, to: jump.to, atSeconds: since(jump.timeSeconds) });
    }
  const crack = events.find((event) => event.type === 'crack');
  if (crack?.type === 'crack' && m.firstPartial === null)
    found.push({ kind: 'crack', to: crack.to, atSeconds: since(crack.timeSeconds) });
  const gap = events.find((event) => event.type === 'gap');
  if (gap?.type === 'gap') {
    const atSeconds = since(gap.timeSeconds);
    if (gap.lengthSeconds < RESTART_SECONDS)
      found.push({ kind: 'gap', atSeconds, lengthMs: 1000 * gap.lengthSeconds });
    else found.push({ kind: breathHeard ? 'breath' : 'restart', atSeconds });
  }
  const sounded = end ? since(end.timeSeconds) : 0;
  const missing = writtenEndSeconds - (end?.timeSeconds ?? 0);
  // A note that came late and ended in time is late, not short; a hole in a slur is told of the note after it, once.
  const isHole = (heard.holeAfterMs ?? 0) > SLUR_GAP_MS;
  const isShort = heard.isOwnTime
    ? sounded < Math.min(OWN_TIME_LEAST_SECONDS, SHORT_SHARE * writtenSeconds)
    : sounded < SHORT_SHARE * writtenSeconds &&
      missing > Math.max((1 - SHORT_SHARE) * writtenSeconds, Math.min(DETACHED_SECONDS, writtenSeconds / 2));
  if (!note.open && isShort && !isHole) found.push({ kind: 'short', heldSeconds: sounded, writtenSeconds });
  if (m.gapMs !== null && m.gapMs > SLUR_GAP_MS) found.push({ kind: 'slurGap', lengthMs: m.gapMs });
  else if (m.slurMs !== null && m.slurMs > SLOW_SLUR_MS) found.push({ kind: 'slowSlur', ms: m.slurMs });
  if (m.overshootCents !== null && m.overshootCents > OVERSHOOT_BANDS * tolerance.pitchCents)
    found.push({ kind: 'overshoot', cents: m.overshootCents });
  if (m.squawkMs) found.push({ kind: 'squawk', ms: m.squawkMs });
  if (m.firstPartial !== null) found.push({ kind: 'firstPartial', partial: m.firstPartial });
  else if (m.responseMs !== null && m.responseMs > (isSubtone ? SUBTONE_AIR_MS : tolerance.responseMs))
    found.push({ kind: 'response', ms: m.responseMs });
  if (isSubtone && note.attack === 'breath' && m.responseMs === null)
    if (!heard.airBeforeWasWritten && heard.airWouldBeHeard) found.push({ kind: 'byTongue' });
  if (note.attack === 'tongued' && heard.isJoined) found.push({ kind: 'notTongued' });
  found.push(...levelFindings(heard.level, tolerance), ...restartFindings(m, tolerance));
  found.push(...endFindings(heard, found));
  // The time of a slide is told as a slide, not as coming late.
  const slideMs = found.some(({ kind }) => kind === 'slowSlur') ? (m.slurMs ?? 0) : 0;
  if (
    m.onsetOffsetMs !== null &&
    Math.abs(m.onsetOffsetMs) > tolerance.onsetMs + (m.onsetOffsetMs > 0 ? slideMs : 0)
  )
    found.push({ kind: 'beat', ms: m.onsetOffsetMs });
  const stair = events.find((event) => event.type === 'stair');
  if (stair?.type === 'stair')
    found.push({
      kind: 'stair',
      count: m.stairs.count,
      worstDb: m.stairs.worstDb ?? stair.stepDb,
      atSeconds: since(stair.timeSeconds),
    });
  found.push(...askedFindings(note, m, tolerance));
  // What is meant to swing or to bend does not wander.
  const swings = note.vibrato === undefined ? isVibrato(m) : note.vibrato !== 'off';
  found.push(...pitchFindings(m, tolerance, isSteady && !swings && !note.bend, note.attack === 'slurred'));
  if (m.peakOffsetBeats !== null && Math.abs(m.peakOffsetBeats) > PEAK_BEATS)
    found.push({ kind: 'peak', beats: m.peakOffsetBeats });
  if (m.swellErrorDb !== null && m.swellErrorDb > tolerance.swellErrorDb)
    found.push({ kind: isSteady ? 'unsteady' : 'swellError', db: m.swellErrorDb });
  const stepBand = tolerance.swellErrorDb + (heard.level.hairpin ? BEYOND_BAND_DB : 0);
  if (m.stepDb !== null && Math.abs(m.stepDb) > stepBand && !heard.isBackInLine)
    found.push({ kind: 'step', db: m.stepDb });
  if (
    m.wrongWayPercent !== null &&
    m.wrongWayPercent > (heard.rings ? RINGING_WRONG_WAY_PERCENT : WRONG_WAY_PERCENT)
  )
    found.push({ kind: 'wrongWay', percent: m.wrongWayPercent });
  const airy = Math.min(AIRY_DB, (heard.usualSoftBreathDb ?? Infinity) + AIRIER_DB);
  if (!isSteady && m.softEndBreathDb !== null && m.softEndBreathDb > airy)
    found.push({ kind: 'airySoftEnd', db: m.softEndBreathDb });
  return found;
}

/** How a note ended where its end counts: on its beat, and at once. */
function endFindings(
  { note, measures: m, events, tolerance }: NoteHeard,
  found: readonly Finding[],
): Finding[] {
  if (m.endOffsetMs === null || found.some(({ kind }) => kind === 'short')) return [];
  const ends: Finding[] = [];
  if (Math.abs(m.endOffsetMs) > tolerance.endMs) ends.push({ kind: 'endBeat', ms: m.endOffsetMs });
  if (m.endFadeMs !== null && m.endFadeMs > END_FADE_MS) ends.push({ kind: 'endFades', ms: m.endFadeMs });
  const release = events.find((event) => event.type === 'release');
  const fades = note.dynamics.at(-1)?.mark === 'pp' || note.dynamics.at(-1)?.mark === 'ppp';
  if (release?.type === 'release' && !release.clean && !fades && (release.sagCents ?? 0) > END_SAG_CENTS)
    ends.push({ kind: 'endSags', cents: release.sagCents ?? 0 });
  return ends;
}

/** Another partial than the written one, if one sounded. */
export function wrongPartial(heard: number | null, wanted: number): Finding | null {
  if (heard === null || heard === wanted) return null;
  return { kind: heard < wanted ? 'lowPartial' : 'highPartial', partial: heard, wanted };
}

/** What only such a note is asked for: to be bent, to change its colour, to swing. */
function askedFindings(note: NoteItem, m: ItemMeasures, { pitchCents }: Tolerance): Finding[] {
  const found = vibratoFindings(note, m);
  if (typeof m.matchCents === 'number' && Math.abs(m.matchCents) > pitchCents)
    found.push({ kind: 'pitchApart', cents: m.matchCents });
  if (typeof m.matchDb === 'number' && m.matchDb > MATCH_DB)
    found.push({ kind: 'colourApart', db: m.matchDb });
  if (m.subtone && m.subtone.kind !== 'subtone') {
    const { kind, airierDb, softerDb } = m.subtone;
    found.push({ kind: kind === 'full' ? 'stillFull' : 'weakTone', airierDb, softerDb });
  }
  const reachedCents = m.bendRangeCents ?? m.raiseRangeCents ?? null;
  if (note.bend && reachedCents !== null) {
    const wantedCents = Math.max(...note.bend.map(({ cents }) => Math.abs(cents)));
    if (reachedCents < BEND_SHARE * wantedCents)
      found.push({
        kind: isRaised(note.bend) ? 'raiseShort' : 'bendShort',
        cents: reachedCents,
        wantedCents,
      });
    const back = m.bendBackCents ?? 0;
    if (Math.abs(back) > LANDING_BANDS * pitchCents) found.push({ kind: 'bendBack', cents: back });
  }
  if (
    note.judged?.includes('colour') &&
    m.centroidSpanHarmonics !== null &&
    m.centroidSpanHarmonics !== undefined
  )
    if (m.centroidSpanHarmonics < COLOUR_SHARE * (m.centroidHarmonics ?? 0))
      found.push({ kind: 'colourStill', harmonics: m.centroidSpanHarmonics });
  return found;
}

function pitchFindings(
  m: ItemMeasures,
  { pitchCents }: Tolerance,
  isSteady: boolean,
  isSlurred: boolean,
): Finding[] {
  const found: Finding[] = [];
  const { loudEndCents: loud, softEndCents: soft, centsMean, landingCents } = m;
  if (loud !== null && soft !== null && Math.max(Math.abs(loud), Math.abs(soft)) > pitchCents)
    found.push(
      Math.abs(loud) >= Math.abs(soft) ? { kind: 'loudEnd', cents: loud } : { kind: 'softEnd', cents: soft },
    );
  else if (centsMean !== null && Math.abs(centsMean) > pitchCents)
    found.push({ kind: 'pitch', cents: centsMean });
  else if (
    !isSlurred &&
    m.firstPartial === null &&
    landingCents !== null &&
    centsMean !== null &&
    Math.abs(landingCents - centsMean) > LANDING_BANDS * pitchCents
  )
    found.push({ kind: 'landing', cents: landingCents });
  const { firstToLastCents: drift } = m;
  if (isSteady && drift !== null && Math.abs(drift) > pitchCents) found.push({ kind: 'drift', cents: drift });
  else if (isSteady && m.centsSpread !== null && m.centsSpread > pitchCents)
    found.push({ kind: 'wander', cents: m.centsSpread });
  return found;
}
