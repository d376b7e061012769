import type { WrittenMidi } from '../horn/index.ts';
import { wilson } from '../stats/index.ts';
import { evennessOf } from './evenness.ts';
import type { TendencyMap } from './fitMap.ts';
import type { NoteSums, Starts } from './noteSums.ts';
import { WITHIN_90 } from './interval.ts';
import { isBorder } from './prior.ts';

export const CAUSES = [
  'bellNotesFail',
  'onlyTongued',
  'onlySoft',
  'oneNoteOff',
  'sinceReed',
  'sharpWhenSoft',
  'secondRegisterThin',
  'lowNotesLoud',
] as const;
/** A likely cause, never a diagnosis; each has its next test and what would refute it in the message file. */
export type Cause = (typeof CAUSES)[number];

/** One figure behind a finding, of a note or of a stretch of notes. */
export interface Evidence {
  lowest: WrittenMidi;
  highest: WrittenMidi;
  kind:
    | 'failsTongued'
    | 'failsBreath'
    | 'failsSoft'
    | 'failsLoud'
    | 'cents'
    | 'bend'
    | 'breathStep'
    | 'levelStep'
    | 'failsBefore'
    | 'failsAfter';
  /** A share (0-1) with its tries, cents, cents per 10 dB, or dB. */
  value: number;
  tries: number | null;
}

export interface MapFinding {
  cause: Cause;
  evidence: Evidence[];
  /** How far the figures carry it. */
  confidence: 'some' | 'good';
  /** Changes where the evidence does: what was dismissed comes back then. */
  key: string;
}

export interface FindingsRequest {
  map: TendencyMap;
  sums: readonly NoteSums[];
  /** Sums of before and after the newest reed; null where no reed was changed, or no day was played since. */
  sinceReed?: { before: readonly NoteSums[]; after: readonly NoteSums[] } | null;
}

const BELL_TOP = 61;
const MIDDLE = [64, 72] as const;
const FIRST_HIGH = 74;
const LAST_HIGH = 85;

/** Fails so often is failing; this rarely is not. Of either the interval must say so as well. */
const FAILS = 0.35;
const FAILS_LOW = 0.2;
const SPEAKS = 0.15;
const SPEAKS_HIGH = 0.3;
const LEAST_TRIES = 8;
const SURE_TRIES = 20;

const BITES = -13;
const ODD_CENTS = 13;
const ODD_Z = 3.5;
const LEAST_DAYS = 3;
const THIN_BREATH_DB = 6;
const LOUD_DB = 6;

/** Everything the map gives reason to ask about, the surest first. Nothing where the figures are few. */
export function findingsOf(request: FindingsRequest): MapFinding[] {
  const found = [
    ...startFindings(request.sums),
    ...pitchFindings(request.map),
    ...toneFindings(request.sums),
  ];
  const reed = reedFinding(request.sinceReed ?? null);
  return [...found, ...(reed ? [reed] : [])].toSorted(
    (a, b) => Number(b.confidence === 'good') - Number(a.confidence === 'good'),
  );
}

const startsOf = (
  sums: readonly NoteSums[],
  [low, high]: readonly [number, number],
  kinds: readonly (keyof NoteSums['starts'])[],
  levels: readonly ('soft' | 'loud')[],
): Starts => {
  const total = { tries: 0, failed: 0 };
  for (const { writtenMidi, starts } of sums)
    if (writtenMidi >= low && writtenMidi <= high)
      for (const kind of kinds)
        for (const level of levels) {
          total.tries += starts[kind][level].tries;
          total.failed += starts[kind][level].failed;
        }
  return total;
};

const isFailing = ({ tries, failed }: Starts) =>
  tries >= LEAST_TRIES && failed / tries >= FAILS && (wilson(failed, tries)?.low ?? 0) >= FAILS_LOW;
const isSpeaking = ({ tries, failed }: Starts) =>
  tries >= LEAST_TRIES && failed / tries <= SPEAKS && (wilson(failed, tries)?.high ?? 1) <= SPEAKS_HIGH;

function finding(cause: Cause, evidence: Evidence[]): MapFinding {
  const tries = Math.min(...evidence.map((each) => each.tries ?? SURE_TRIES));
  // Evidence that grows by a quarter, or a value that moves by as much, is another key.
  const rough = ({ kind, lowest, value }: Evidence) =>
    `${kind}${lowest}:${Math.round(4 * Math.log2(Math.abs(value) + 0.01))}`;
  return {
    cause,
    evidence,
    confidence: tries >= SURE_TRIES ? 'good' : 'some',
    key: `${cause}|${evidence.map(rough).join('|')}`,
  };
}

function startFindings(sums: readonly NoteSums[]): MapFinding[] {
  const lowest = sums.at(0)?.writtenMidi;
  if (lowest === undefined || lowest > BELL_TOP) return [];
  const bell = [lowest, BELL_TOP] as const;
  const both = ['soft', 'loud'] as const;
  const tongued = startsOf(sums, bell, ['tongued'], both);
  const breath = startsOf(sums, bell, ['breath'], both);
  const middle = startsOf(sums, MIDDLE, ['tongued', 'breath', 'any'], both);
  const told = (kind: Evidence['kind'], { tries, failed }: Starts): Evidence => ({
    kind,
    lowest,
    highest: BELL_TOP as WrittenMidi,
    value: failed / Math.max(1, tries),
    tries,
  });
  if (isFailing(tongued) && isFailing(breath) && !isFailing(middle))
    return [finding('bellNotesFail', [told('failsTongued', tongued), told('failsBreath', breath)])];
  if (isFailing(tongued) && isSpeaking(breath))
    return [finding('onlyTongued', [told('failsTongued', tongued), told('failsBreath', breath)])];
  const all = ['tongued', 'breath', 'any'] as const;
  const soft = startsOf(sums, bell, all, ['soft']);
  const loud = startsOf(sums, bell, all, ['loud']);
  if (isFailing(soft) && isSpeaking(loud))
    return [finding('onlySoft', [told('failsSoft', soft), told('failsLoud', loud)])];
  return [];
}

function pitchFindings({ notes }: TendencyMap): MapFinding[] {
  const known = notes.filter(({ days }) => days >= LEAST_DAYS);
  const found: MapFinding[] = [];
  const bends = known.filter(({ pitchSlopeCentsPer10Db }) => pitchSlopeCentsPer10Db.error < 3);
  const weight = bends.reduce(
    (sum, { pitchSlopeCentsPer10Db }) => sum + 1 / pitchSlopeCentsPer10Db.error ** 2,
    0,
  );
  const mean = bends.reduce((sum, { pitchSlopeCentsPer10Db: b }) => sum + b.cents / b.error ** 2, 0) / weight;
  if (bends.length >= 8 && mean + WITHIN_90 / Math.sqrt(weight) < BITES)
    found.push(
      finding('sharpWhenSoft', [
        {
          kind: 'bend',
          lowest: bends[0].writtenMidi,
          highest: bends[bends.length - 1].writtenMidi,
          value: mean,
          tries: null,
        },
      ]),
    );
  const even = evennessOf(
    known.map(({ writtenMidi, at }) => ({ writtenMidi, value: at(0).cents })),
    20,
  );
  for (const { writtenMidi, value, smooth, z } of even?.stickOut ?? []) {
    const note = known.find((each) => each.writtenMidi === writtenMidi);
    const error = note?.at(0).error ?? Infinity;
    const off = value - smooth;
    // Beside a border of registers there is nothing to compare with on one side.
    if (isBorder(writtenMidi) || isBorder(writtenMidi + 1)) continue;
    if (Math.abs(off) >= ODD_CENTS && Math.abs(z) >= ODD_Z && Math.abs(off) > 2.5 * error)
      found.push(
        finding('oneNoteOff', [
          { kind: 'cents', lowest: writtenMidi, highest: writtenMidi, value: off, tries: note?.count ?? 0 },
        ]),
      );
  }
  return found;
}

function toneFindings(sums: readonly NoteSums[]): MapFinding[] {
  const mean = (name: 'noiseToHarmonicDb' | 'levelDb', [low, high]: readonly [number, number]) => {
    const values = sums.flatMap(({ writtenMidi, measures }) =>
      writtenMidi >= low && writtenMidi <= high && measures[name] !== null ? [measures[name]] : [],
    );
    return values.length < 3 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
  };
  const lowest = sums.at(0)?.writtenMidi ?? (BELL_TOP as WrittenMidi);
  const bell = [lowest, BELL_TOP] as const;
  const high = [FIRST_HIGH, LAST_HIGH] as const;
  const found: MapFinding[] = [];
  const step = (name: 'noiseToHarmonicDb' | 'levelDb', to: readonly [number, number]) => {
    const [from, there] = [mean(name, MIDDLE), mean(name, to)];
    return from === null || there === null ? 0 : there - from;
  };
  const evidence = (
    kind: Evidence['kind'],
    [low, top]: readonly [number, number],
    value: number,
  ): Evidence => ({
    kind,
    lowest: low as WrittenMidi,
    highest: top as WrittenMidi,
    value,
    tries: null,
  });
  if (step('noiseToHarmonicDb', high) >= THIN_BREATH_DB && step('levelDb', high) <= -3)
    found.push(
      finding('secondRegisterThin', [
        evidence('breathStep', high, step('noiseToHarmonicDb', high)),
        evidence('levelStep', high, step('levelDb', high)),
      ]),
    );
  if (step('levelDb', bell) >= LOUD_DB)
    found.push(finding('lowNotesLoud', [evidence('levelStep', bell, step('levelDb', bell))]));
  return found;
}

function reedFinding(since: FindingsRequest['sinceReed']): MapFinding | null {
  if (!since) return null;
  const all = [0, 200] as const;
  const count = (sums: readonly NoteSums[]) =>
    startsOf(sums, all, ['tongued', 'breath', 'any'], ['soft', 'loud']);
  const [before, after] = [count(since.before), count(since.after)];
  if (!isSpeaking(before) || !isFailing(after)) return null;
  const [first, last] = [since.after.at(0), since.after.at(-1)];
  if (!first || !last) return null;
  const told = (kind: Evidence['kind'], { tries, failed }: Starts): Evidence => ({
    kind,
    lowest: first.writtenMidi,
    highest: last.writtenMidi,
    value: failed / tries,
    tries,
  });
  return finding('sinceReed', [told('failsBefore', before), told('failsAfter', after)]);
}
