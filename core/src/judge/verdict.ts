import type { Judged } from '../exercise/index.ts';
import type { Advice, Finding, Weighed } from './finding.ts';
import type { Tolerance } from './tolerances.ts';

export interface Verdict {
  /** One or two, the weightiest first. */
  findings: Finding[];
  advice: Advice;
  /** The pitch and level band by which this was judged. */
  band: { pitchCents: number; swellErrorDb: number };
}

/**
 * The order of weight: what is not there, a torn tone, how it began, then stairs, beat, pitch, shape. What happens is
 * always told; a figure only where it is judged.
 */
const KINDS: Record<Finding['kind'], { weight: number; advice: Advice; judged: Judged | null }> = {
  missed: { weight: 100, advice: 'countTheRest', judged: null },
  onlySquawk: { weight: 97, advice: 'voiceFirst', judged: null },
  wrongNote: { weight: 95, advice: 'nameItFirst', judged: null },
  lowPartial: { weight: 93, advice: 'voiceHigher', judged: null },
  highPartial: { weight: 93, advice: 'voiceLower', judged: null },
  fellBack: { weight: 91, advice: 'keepTheVoicing', judged: null },
  jump: { weight: 90, advice: 'moreAirBeforeJump', judged: null },
  breath: { weight: 88, advice: 'oneBreathSooner', judged: null },
  restart: { weight: 85, advice: 'goOnAnyway', judged: null },
  gap: { weight: 80, advice: 'keepAirThrough', judged: null },
  slurGap: { weight: 78, advice: 'airNotFingers', judged: 'slur' },
  squawk: { weight: 74, advice: 'voiceFirst', judged: null },
  firstPartial: { weight: 72, advice: 'startOnTheNote', judged: 'start' },
  short: { weight: 70, advice: 'shorterFirst', judged: 'hold' },
  gapBreath: { weight: 65, advice: 'holdTheAir', judged: 'silence' },
  response: { weight: 60, advice: 'softestThatSpeaks', judged: 'start' },
  crack: { weight: 55, advice: 'moreAirBeforeJump', judged: null },
  stair: { weight: 50, advice: 'slowerThroughStair', judged: 'dynamics' },
  beat: { weight: 45, advice: 'breatheWithTheBeat', judged: 'beat' },
  slowSlur: { weight: 42, advice: 'fingersTogether', judged: 'slur' },
  overshoot: { weight: 40, advice: 'arriveOnTheNote', judged: 'slur' },
  loudEnd: { weight: 34, advice: 'loudEndVoicing', judged: 'pitch' },
  softEnd: { weight: 34, advice: 'softEndVoicing', judged: 'pitch' },
  pitch: { weight: 32, advice: 'hearNoteFirst', judged: 'pitch' },
  hum: { weight: 31, advice: 'hearNoteFirst', judged: null },
  landing: { weight: 30, advice: 'hearNoteFirst', judged: 'pitch' },
  peak: { weight: 20, advice: 'countTheTurn', judged: 'dynamics' },
  swellError: { weight: 15, advice: 'smallerSpan', judged: 'dynamics' },
  unsteady: { weight: 15, advice: 'steadyAir', judged: 'dynamics' },
  step: { weight: 12, advice: 'sameAir', judged: 'line' },
  wander: { weight: 10, advice: 'steadyAir', judged: 'pitch' },
  bendShort: { weight: 36, advice: 'bendByTongue', judged: null },
  bendBack: { weight: 33, advice: 'comeBackByEar', judged: 'pitch' },
  colourStill: { weight: 28, advice: 'widerVowels', judged: 'colour' },
  vibratoMissing: { weight: 27, advice: 'swingOnTheBeat', judged: 'vibrato' },
  vibratoThere: { weight: 27, advice: 'straightTone', judged: 'vibrato' },
  vibratoSlow: { weight: 26, advice: 'quickerSwing', judged: 'vibrato' },
  vibratoFast: { weight: 26, advice: 'slowerSwing', judged: 'vibrato' },
  vibratoUneven: { weight: 25, advice: 'swingOnTheBeat', judged: 'vibrato' },
  vibrato: { weight: 1, advice: 'holdLonger', judged: null },
  stillFull: { weight: 48, advice: 'chinDown', judged: 'tone' },
  weakTone: { weight: 48, advice: 'fromAHint', judged: 'tone' },
  subtone: { weight: 1, advice: 'holdLonger', judged: null },
  pitchApart: { weight: 35, advice: 'samePitchFirst', judged: 'match' },
  colourApart: { weight: 29, advice: 'sameSoundFirst', judged: 'match' },
  matched: { weight: 1, advice: 'moveOn', judged: null },
  airAgainst: { weight: 1, advice: 'takeTheFreer', judged: null },
  bent: { weight: 1, advice: 'addABeat', judged: null },
  colourMoved: { weight: 1, advice: 'addABeat', judged: null },
  held: { weight: 1, advice: 'holdLonger', judged: null },
  even: { weight: 0, advice: 'addABeat', judged: null },
  quiet: { weight: 0, advice: 'addABeat', judged: null },
};

const PLAIN: readonly Finding['kind'][] = [
  'even',
  'quiet',
  'held',
  'bent',
  'colourMoved',
  'airAgainst',
  'matched',
  'subtone',
  'vibrato',
];

/** Puts findings in order of weight; what an item is not judged by is left out (`judged` null: everything counts). */
export function weigh(findings: readonly Finding[], judged: readonly Judged[] | null): Weighed[] {
  return findings
    .map((finding) => ({ finding, ...KINDS[finding.kind] }))
    .filter((each) => judged === null || each.judged === null || judged.includes(each.judged))
    .toSorted((a, b) => b.weight - a.weight);
}

/** What is not worth a word of its own beside others: nothing stood out. */
export const isPlain = ({ kind }: Finding) => PLAIN.includes(kind);

/** The verdict of what was found; `plain` is what there is to say where nothing stood out. */
export function reachVerdict(
  findings: readonly Finding[],
  plain: Finding,
  judged: readonly Judged[] | null,
  tolerance: Tolerance,
): Verdict {
  const found = weigh(findings, judged);
  const told = found.length > 0 ? found : weigh([plain], null);
  return {
    findings: told.slice(0, 2).map(({ finding }) => finding),
    advice: told[0].advice,
    band: { pitchCents: tolerance.pitchCents, swellErrorDb: tolerance.swellErrorDb },
  };
}
