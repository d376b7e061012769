// One builder file a family of drills. A builder writes notes, beats and marks; it judges and draws nothing.
import type { Exercise } from '../exercise.ts';
import { airThenNote } from './airThenNote.ts';
import { mouthpieceAlone, neckAlone } from './aloneBends.ts';
import { alternation } from './alternation.ts';
import { alternatingSwells } from './alternatingSwells.ts';
import { beatsOnOff } from './beatsOnOff.ts';
import { beforeAfter } from './beforeAfter.ts';
import { dropToBottom, returnToBottom } from './bottomReturns.ts';
import { breakDrill } from './breakDrill.ts';
import { chartRunDrill, mouthpieceMove } from './chartRun.ts';
import { chromaticTones } from './chromaticTones.ts';
import type { Family as AnyFamily } from './family.ts';
import { fifths } from './fifths.ts';
import { fullScales, highScales, scaleEndDrill } from './fullScales.ts';
import { hearHumPlay } from './hearHumPlay.ts';
import { highByOvertone, highByStep, highImagine, highTries } from './highStarts.ts';
import { highHold, highSwell, voicingDrop } from './highTones.ts';
import { insideFingering } from './insideFingering.ts';
import { intervalTones } from './intervalTones.ts';
import { lipPositions } from './lipPositions.ts';
import { keyRuns } from './keyRuns.ts';
import { ladderHolds } from './ladderHolds.ts';
import { longHold } from './longHold.ts';
import { lowTwoWays } from './lowTwoWays.ts';
import { noteBends } from './noteBends.ts';
import { octaveRestart } from './octaveRestart.ts';
import { openedTone, overtoneMatch } from './matchDrills.ts';
import { ownFirst } from './ownFirst.ts';
import { overtoneCascade } from './overtoneCascade.ts';
import { overtoneClimb } from './overtoneClimb.ts';
import { overtoneEar } from './overtoneEar.ts';
import { overtoneHits } from './overtoneHits.ts';
import { overtoneScale } from './overtoneScale.ts';
import { overtoneSwitch } from './overtoneSwitch.ts';
import { pairedSwells } from './pairedSwells.ts';
import { quietDescent } from './quietDescent.ts';
import { raisedNotes } from './raisedNotes.ts';
import { singleSwell } from './singleSwell.ts';
import type { Skill } from './skill.ts';
import { fullToSubtone, subtoneFromAir, subtoneStarts, subtoneVibrato } from './subtones.ts';
import { subtoneLine } from './subtoneLine.ts';
import { firstHearing } from './firstHearing.ts';
import { threeZones } from './threeZones.ts';
import { tubeLoop } from './tubeLoop.ts';
import { vibratoTones } from './vibratoTones.ts';
import { voicedNote } from './voicedNote.ts';
import { vowelSweep } from './vowelSweep.ts';
import { wideningDown, wideningUp } from './wideningSwells.ts';

export { completeChoices, PURPOSES, thereAndBack, type Home, type Purpose } from './family.ts';
export type { HeadlineId } from './headlineId.ts';
export { readSofts, softsWord } from './softs.ts';
export type { Choices, Option, OptionName, Options } from './options.ts';
export { SKILLS, type Skill } from './skill.ts';
export { USUAL_PULL } from './usualPull.ts';
export { scaleEnds, type ScaleEnd } from './scaleRange.ts';

/** In the order of a sitting: air and ear first, then long notes, then the low end, then overtones and high notes; last what is asked once a month. */
const IN_ORDER = [
  airThenNote,
  lipPositions,
  mouthpieceAlone,
  neckAlone,
  hearHumPlay,
  intervalTones,
  longHold,
  threeZones,
  chromaticTones,
  singleSwell,
  pairedSwells,
  wideningDown,
  wideningUp,
  alternatingSwells,
  beatsOnOff,
  quietDescent,
  octaveRestart,
  lowTwoWays,
  returnToBottom,
  dropToBottom,
  vowelSweep,
  noteBends,
  subtoneFromAir,
  fullToSubtone,
  subtoneStarts,
  subtoneVibrato,
  subtoneLine,
  vibratoTones,
  breakDrill,
  fullScales,
  scaleEndDrill,
  keyRuns,
  overtoneEar,
  ownFirst,
  overtoneClimb,
  ladderHolds,
  overtoneSwitch,
  overtoneHits,
  overtoneCascade,
  insideFingering,
  tubeLoop,
  alternation,
  fifths,
  overtoneScale,
  overtoneMatch,
  openedTone,
  highTries,
  highImagine,
  highByOvertone,
  highByStep,
  highHold,
  highSwell,
  voicingDrop,
  raisedNotes,
  voicedNote,
  highScales,
  chartRunDrill,
  mouthpieceMove,
  beforeAfter,
  firstHearing,
] as const;

/** Names of the built-in families. */
export type FamilyId = (typeof IN_ORDER)[number]['id'];
export type Family = AnyFamily<FamilyId>;
export const FAMILIES: readonly Family[] = IN_ORDER;

const BY_ID: ReadonlyMap<string, Family> = new Map(FAMILIES.map((family) => [family.id, family]));

/** A family by its name, or null. */
export const familyById = (id: string): Family | null => BY_ID.get(id) ?? null;

/** The family an exercise is of; null: it is the player's own. */
export const familyOf = ({ family }: Pick<Exercise, 'family'>): Family | null =>
  family === null ? null : familyById(family);

/** What playing a family is practice of; null: an own exercise. What no family is called is one too. */
export const skillOf = (family: string | null): Skill => familyOf({ family })?.skill ?? 'own';
