import { FAMILIES, type Choices, type FamilyId } from '../exercise/index.ts';
import { HORN_IDS, hornById } from '../horn/index.ts';
import { drillOf, onEvery, FOUR, type VerdictRow } from './verdictTable.ts';

// What must pass: every drill as it is written, and softer or louder as a whole.

/** A phrase of each family in which something is asked, at its own tempo: what is played as written passes. */
const CLEAN: readonly [family: FamilyId, phrase: number, choices?: Choices][] = [
  ['airThenNote', 0],
  ['lipPositions', 0],
  ['mouthpieceAlone', 1],
  ['neckAlone', 1],
  ['hearHumPlay', 0],
  ['intervalTones', 6],
  ['swell', 0],
  ['longHold', 0, { beats: 12 }],
  ['threeZones', 1, { beats: 8 }],
  ['chromaticTones', 4],
  ['chromaticTones', 4, { shape: 'fade' }],
  ['chromaticTones', 2, { shape: 'growFade', notes: '60.67.74', path: 'asPicked' }],
  ['pairedSwells', 0],
  ['pairedSwells', 3],
  ['wideningDown', 5],
  ['wideningUp', 8],
  ['alternatingSwells', 0],
  ['alternatingSwells', 1],
  ['beatsOnOff', 0],
  ['quietDescent', 0],
  ['octaveRestart', 0],
  ['octaveRestart', 8],
  ['returnToBottom', 7],
  ['dropToBottom', 3],
  ['vowelSweep', 0],
  ['breakDrill', 0],
  ['breakDrill', 2],
  ['fullScales', 3],
  ['scaleEnds', 0],
  ['beforeAfter', 0],
  ['overtoneEar', 0],
  ['overtoneClimb', 0],
  ['overtoneSwitch', 0],
  ['overtoneHits', 0],
  ['overtoneCascade', 3],
  ['fifths', 2],
  ['tubeLoop', 0],
  ['tubeLoop', 1, { partial: 4, start: 'playToStart' }],
  ['ownFirst', 0],
  ['alternation', 0],
  ['ladderHolds', 2],
  ['ladderHolds', 9],
  ['lowTwoWays', 0],
  ['lowTwoWays', 1],
  ['subtoneLine', 0],
  ['subtoneLine', 0, { path: 'down' }],
  ['keyRuns', 0],
  ['keyRuns', 0, { form: 'trill', value: 'eighths' }],
  ['beatsOnOff', 3, { form: 'growing' }],
  ['airThenNote', 1, { form: 'threeNotes' }],
  ['alternation', 0, { partial: 3, tempoBpm: 112 }],
  ['raisedNotes', 0],
  ['insideFingering', 0],
  ['noteBends', 0, { bend: 3 }],
  ['overtoneScale', 0, { route: 'fifth', key: 'D' }],
  ['overtoneMatch', 0],
  ['openedTone', 0],
  ['fullToSubtone', 3],
  ['subtoneFromAir', 0],
  ['subtoneStarts', 0],
  ['subtoneVibrato', 0],
  ['vibratoTones', 0, { beats: 6 }],
  ['highTries', 0],
  ['highImagine', 0],
  ['highByOvertone', 0],
  ['highByStep', 0],
  ['highHold', 0],
  ['highSwell', 0],
  ['voicingDrop', 0, { bend: 4 }],
  ['voicedNote', 0],
  ['highScales', 0],
  ['chartRun', 4],
  ['mouthpieceMove', 0],
  ['firstHearing', 1],
];

/** Every drill as it is written. */
export function cleanRows(): VerdictRow[] {
  return CLEAN.flatMap(([family, phrase, choices = {}], i): VerdictRow[] => {
    const can = HORN_IDS.filter((id) =>
      FAMILIES.find(({ id: name }) => name === family)?.options(hornById(id)),
    );
    const hornId = can[i % can.length];
    return [{ ...drillOf(family, hornId, phrase, choices), played: 'as written', wanted: 'passes' }];
  });
}

/** Nobody is blamed for how loud the whole of it is. */
export function freedomOfLevel(): VerdictRow[] {
  const drills: [FamilyId, number][] = [
    ['quietDescent', 0],
    ['alternatingSwells', 0],
    ['pairedSwells', 2],
    ['wideningUp', 4],
    ['swell', 0],
    ['octaveRestart', 0],
    ['beatsOnOff', 0],
    ['fullScales', 0],
  ];
  return drills.flatMap(([family, phrase], i) =>
    ([-4, 4] as const).map((levelDb, k): VerdictRow => {
      const drill = drillOf(family, FOUR[(i + k) % 4], phrase);
      return {
        ...drill,
        played: `all of it ${Math.abs(levelDb)} dB ${levelDb < 0 ? 'softer' : 'louder'}`,
        faults: onEvery(drill, (item) => ({ item, kind: 'off', cents: 0, levelDb })),
        wanted: 'passes',
      };
    }),
  );
}
