import { expect, it } from 'vitest';
import {
  buildSwell,
  DEFAULT_SCALE,
  familyById,
  phraseExercise,
  scoreOf,
  type Choices,
  type Exercise,
  type Judged,
} from '../exercise/index.ts';
import {
  hornById,
  HORN_IDS,
  isHighNote,
  partialNote,
  pitchTarget,
  regularTube,
  writtenMidi,
  type HornId,
} from '../horn/index.ts';
import { PROFILES, type ExerciseRequest, type ItemFault } from '../simulated/index.ts';
import { createStage } from '../testing/performed.ts';
import { analyseTake, isNeutral, type Finding, type ItemAnalysis, type TakeAnalysis } from './index.ts';

// The simulated player plays every family with every mistake; what the judge says must be what was done.

const RATE = 24000;
/** The largest difference that a player would not mind. */
const TOLERANCE = {
  onsetMs: 40,
  responseMs: 25,
  slurMs: 40,
  overshootCents: 10,
  gapMs: 60,
  peakBeats: 0.25,
  cents: 6,
  humCents: 6,
  airDb: 1,
  bendCents: 15,
};
const worst: Record<string, number> = {};
const counts = { plays: 0, heard: 0, clean: 0, named: 0, items: 0 };

function near(name: keyof typeof TOLERANCE, is: number | null | undefined, should: number, why: string) {
  expect(is, `${why}: ${name}`).not.toBeNull();
  const off = Math.abs((is ?? Infinity) - should);
  worst[name] = Math.max(worst[name] ?? 0, off);
  expect(off, `${why}: ${name} ${is} for ${should}`).toBeLessThanOrEqual(TOLERANCE[name]);
}

function drill(family: string, phrase: number, hornId: HornId, choices: Choices): Exercise {
  if (family === 'swell')
    return buildSwell({ note: writtenMidi(67), shape: 'growFade', beats: 8, tempoBpm: 90, start: 'countIn' });
  const found = familyById(family);
  if (!found) throw new Error(family);
  const tempo = found.options(hornById(hornId))?.tempoBpm?.usual;
  // As fast as it still makes sense: what is judged is the same, and the test is shorter.
  const tempoBpm = Math.min(120, 1.5 * Number(tempo));
  return phraseExercise(found.build(hornById(hornId), { tempoBpm, ...choices }), phrase);
}

/** Of these the sound itself is the question: no pitch, hardly any tone, the first of the air. */
const NEEDS_SOUND: ReadonlySet<ItemFault['kind']> = new Set([
  'air',
  'noSubtone',
  'slowAnswer',
  'squawk',
  'weak',
]);
const stage = createStage(Number(process.env.SEED ?? 1));

function play(exercise: Exercise, hornId: HornId, faults: ItemFault[], seed: number) {
  const request: ExerciseRequest = {
    exercise,
    hornId,
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: { ...PROFILES.steady, responseMs: 100 },
    faults,
    sampleRateHz: RATE,
    seed,
    leadSeconds: 0.8,
    tailSeconds: 1,
  };
  const performance = stage.perform(
    request,
    faults.some(({ kind }) => NEEDS_SOUND.has(kind)),
  );
  if (performance.isHeard) counts.heard++;
  const analysis = analyseTake(
    performance.track,
    {
      exercise,
      hornId,
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
      beatZeroSeconds: exercise.start === 'countIn' ? performance.beatZeroSeconds : null,
    },
    [],
  );
  counts.plays++;
  return { ...performance, analysis };
}

const found = (item: ItemAnalysis, kind: Finding['kind']) =>
  item.verdict?.findings.some((each) => each.kind === kind);
const isCalm = (item: ItemAnalysis) => item.verdict?.findings.every(isNeutral) ?? true;

/** Every mistake that an item can have, with what the judge must say of it. */
function mistakes(
  exercise: Exercise,
  index: number,
): { fault: ItemFault; check: (item: ItemAnalysis, why: string) => void }[] {
  const score = scoreOf(exercise);
  const { item } = score[index];
  if (item.kind === 'rest')
    return item.breath === 'none'
      ? [
          {
            fault: { item: index, kind: 'breathInGap' },
            check: (each, why) => expect(found(each, 'gapBreath'), why).toBe(true),
          },
        ]
      : [];
  if (item.kind === 'hum')
    return [
      {
        fault: { item: index, kind: 'off', cents: -70, levelDb: 0 },
        check: (each, why) => near('humCents', each.kind === 'hum' ? each.measures.humCents : null, -70, why),
      },
    ];
  if (item.kind === 'air')
    return score.some((each) => each.item.kind === 'note')
      ? []
      : [
          {
            fault: { item: index, kind: 'missed' },
            check: (each) => expect(each).toMatchObject({ status: 'missed' }),
          },
          {
            fault: { item: index, kind: 'air', db: 5 },
            check(each, why) {
              const finding = each.verdict?.findings[0];
              // The first of a phrase is what the others are compared with.
              if (index > 0) near('airDb', finding?.kind === 'airAgainst' ? finding.db : null, 5, why);
            },
          },
        ];
  if (item.kind !== 'note') return [];
  const names = (kind: Finding['kind']) => (each: ItemAnalysis, why: string) =>
    expect(found(each, kind), `${why}: ${kind}, not ${JSON.stringify(each.verdict?.findings)}`).toBe(true);
  const judges = (what: Judged) => item.judged?.includes(what) ?? true;
  const of = (each: ItemAnalysis) => (each.kind === 'note' ? each.measures : null);
  const isSlurred = item.attack === 'slurred';
  const slurs = score.at(index + 1)?.item;
  const isTurn = item.dynamics.length === 3 || (isSlurred && item.dynamics[0].mark === 'ff');
  const seconds = (item.lengthBeats * 60) / exercise.tempoBpm;
  // A slip to the pitch of the note beside it is no slip.
  const tube = regularTube(item.fingered ?? item.writtenMidi);
  const beside = [score.at(index + 1), index > 0 ? score[index - 1] : undefined].map((other) =>
    other?.item.kind === 'note' ? other.item.writtenMidi : null,
  );
  const partial =
    [3, 4, 5, 6].find((each) => {
      const sounds = partialNote(tube.tube, each);
      return sounds !== item.writtenMidi && !beside.includes(sounds);
    }) ?? 7;
  const isRepeated = [score.at(index + 1), index > 0 ? score[index - 1] : undefined].some(
    (other) => other?.item.kind === 'note' && other.item.writtenMidi === item.writtenMidi,
  );
  if (item.bend) {
    const depth = Math.max(...item.bend.map(({ cents }) => Math.abs(cents)));
    const isUp = item.bend.some(({ cents }) => cents > 0);
    return [
      {
        fault: { item: index, kind: 'shallowBend', share: 0.5 },
        check(each, why) {
          names(isUp ? 'raiseShort' : 'bendShort')(each, why);
          near('bendCents', of(each)?.[isUp ? 'raiseRangeCents' : 'bendRangeCents'], 0.5 * depth, why);
        },
      },
      { fault: { item: index, kind: 'repeated' }, check: names('restart') },
    ];
  }
  const all: ReturnType<typeof mistakes> = [
    {
      fault: { item: index, kind: 'wrongNote', semitones: 2 },
      check: (each) => expect(each).toMatchObject({ status: 'wrongNote', heardMidi: item.writtenMidi + 2 }),
    },
    // Of two notes of one pitch nobody can tell which was begun again.
    ...(isRepeated ? [] : [{ fault: { item: index, kind: 'repeated' as const }, check: names('restart') }]),
    {
      fault: { item: index, kind: 'slip', atSeconds: 0.6, lengthSeconds: 0.09, toPartial: partial },
      check: names('crack'),
    },
    {
      fault: { item: index, kind: 'slip', atSeconds: 0.6, lengthSeconds: 0.4, toPartial: partial },
      check: names('jump'),
    },
    {
      fault: { item: index, kind: 'off', cents: 28, levelDb: 0 },
      check: (each, why) => near('cents', of(each)?.centsMean, 28, why),
    },
  ];
  if (item.fingered !== null) {
    const { partial: wanted } = pitchTarget(item, 'alto', 440);
    const sounds = (heard: number) => (each: ItemAnalysis, why: string) => {
      names(heard < wanted ? 'lowPartial' : 'highPartial')(each, why);
      expect(each.kind === 'note' && each.heardPartial, why).toBe(heard);
    };
    // The partial under it, the one over it, the fundamental; and falling back to that.
    for (const heard of new Set([wanted - 1, wanted + 1, 1]))
      all.push({ fault: { item: index, kind: 'wrongPartial', partial: heard }, check: sounds(heard) });
    if (wanted > 2 && slurs?.kind !== 'note')
      all.push({
        fault: { item: index, kind: 'slip', atSeconds: 0.6, lengthSeconds: seconds, toPartial: 1 },
        check: names('fellBack'),
      });
  }
  if (
    score.filter((each) => each.item.kind === 'note').length > 1 ||
    score.some((each) => each.item.kind === 'air')
  )
    all.push({
      fault: { item: index, kind: 'missed' },
      check: (each) => expect(each).toMatchObject({ status: 'missed' }),
    });
  if (seconds >= 3)
    all.push({
      fault: { item: index, kind: 'earlyBreath', atSeconds: 0.4 * seconds },
      check: names('breath'),
    });
  if (
    exercise.start === 'countIn' &&
    judges('beat') &&
    !(slurs?.kind === 'note' && slurs.attack === 'slurred' && isSlurred)
  )
    all.push({ fault: { item: index, kind: 'late', seconds: 0.25 }, check: names('beat') });
  if (item.tone === 'subtone')
    all.push(
      { fault: { item: index, kind: 'weak' }, check: names('weakTone') },
      { fault: { item: index, kind: 'noSubtone' }, check: names('weakTone') },
    );
  if (item.judged?.includes('colour'))
    all.push({ fault: { item: index, kind: 'oneColour' }, check: names('colourStill') });
  if (isTurn)
    all.push({
      fault: { item: index, kind: 'latePeak', beats: 0.8 },
      check: (each, why) => near('peakBeats', of(each)?.peakOffsetBeats, 0.8, why),
    });
  const { vibrato } = item;
  if (vibrato === 'off')
    all.push({
      fault: { item: index, kind: 'vibrato', rateHz: 5, widthCents: 25 },
      check: names('vibratoThere'),
    });
  if (vibrato && vibrato !== 'off')
    all.push(
      { fault: { item: index, kind: 'vibrato', rateHz: 0, widthCents: 0 }, check: names('vibratoMissing') },
      {
        fault: { item: index, kind: 'vibrato', rateHz: vibrato === 'slow' ? 6 : 3, widthCents: 25 },
        check: names(vibrato === 'slow' ? 'vibratoFast' : 'vibratoSlow'),
      },
    );
  const isTakenOver = index > 0 && beside[1] === item.writtenMidi;
  if (isSlurred && !isTakenOver)
    all.push(
      {
        fault: { item: index, kind: 'slowSlur', glideMs: 250, overshootCents: 40 },
        check: (each, why) => near('overshootCents', of(each)?.overshootCents, 40, why),
      },
      {
        fault: { item: index, kind: 'parted', gapMs: 120 },
        check: (each, why) => {
          names('slurGap')(each, why);
          near('gapMs', of(each)?.gapMs, 120, why);
        },
      },
    );
  else if (!isSlurred) {
    if (judges('start'))
      all.push({
        fault: { item: index, kind: 'slip', atSeconds: 0, lengthSeconds: 0.12, toPartial: partial },
        check: names('firstPartial'),
      });
    if (judges('start') && isHighNote(item.writtenMidi))
      all.push({ fault: { item: index, kind: 'squawk', seconds: 0.25 }, check: names('squawk') });
    if (item.attack !== 'tongued' && score.at(index - 1)?.item.kind !== 'air')
      all.push({
        fault: { item: index, kind: 'slowAnswer', responseMs: 400 },
        check: (each, why) => near('responseMs', of(each)?.responseMs, 400, why),
      });
  }
  return all;
}

/** What the truth says of every item that was played as written must be what was found, whatever happened elsewhere. */
function follows(
  { analysis, items }: { analysis: TakeAnalysis; items: ReturnType<typeof play>['items'] },
  why: string,
) {
  analysis.items.forEach((item, i) => {
    const { played, onsetSeconds, slurMs } = items[i];
    if (item.kind !== 'note' || played !== 'asWritten' || onsetSeconds === null) return;
    counts.items++;
    if (item.measures?.bendRangeCents !== undefined) return;
    expect(item.status, `${why}: item ${i}`).toBe('played');
    // Out of a note that sounded as this one does nobody hears it begin, where no clock says when it should.
    const isAlike =
      analysis.playedBeats !== undefined &&
      i > 0 &&
      analysis.items[i - 1].startSeconds === null &&
      slurMs === 0;
    if (isAlike) return;
    // A slow slur has no one moment at which the new note begins.
    if (slurMs === null || slurMs < 100) {
      // A slurred note begins where the pitch changes: half-way.
      const begins = 1000 * onsetSeconds + (slurMs ?? 0) / 2;
      near('onsetMs', 1000 * (item.startSeconds ?? NaN), begins, `${why}: item ${i}`);
    }
    // Out of another partial than the written one there is no slur to measure.
    if (i > 0 && items[i - 1].played === 'wrongPartial') return;
    // Where only the fingers change there is none.
    if (slurMs === 0) near('slurMs', item.measures?.slurMs ?? 0, 0, why);
    else if (slurMs !== null && item.measures?.gapMs === 0 && item.measures.firstPartial === null)
      near('slurMs', item.measures.slurMs, slurMs, why);
  });
}

/** Families made like another one: three of its mistakes are enough. */
const FEW = 3;

const DRILLS: [family: string, phrase: number, choices?: Choices, most?: number][] = [
  ['swell', 0],
  ['airThenNote', 0],
  ['lipPositions', 0],
  ['mouthpieceAlone', 1],
  ['neckAlone', 1, { bend: 7 }],
  ['hearHumPlay', 0],
  ['intervalTones', 6],
  // As long as it takes to know how long it held.
  ['longHold', 0, { beats: 8 }],
  ['threeZones', 80, { beats: 8 }, FEW],
  ['firstHearing', 12, {}, FEW],
  ['chromaticTones', 4, { beats: 6 }, FEW],
  ['pairedSwells', 0],
  // Not by a fifth: there a slip to the third partial sounds like the note before.
  ['wideningDown', 5],
  ['wideningUp', 11, {}, FEW],
  ['alternatingSwells', 0],
  ['alternatingSwells', 1, {}, FEW],
  ['beatsOnOff', 0, {}, FEW],
  ['quietDescent', 0],
  ['octaveRestart', 0],
  ['octaveRestart', 9],
  ['returnToBottom', 7, {}, FEW],
  ['dropToBottom', 3],
  ['vowelSweep', 0],
  ['breakDrill', 1],
  ['breakDrill', 2],
  ['scaleEnds', 0, { beats: 2 }, FEW],
  ['beforeAfter', 2, {}, FEW],
  ['overtoneEar', 0, { partial: 3 }],
  ['overtoneClimb', 0, { partial: 4 }],
  ['overtoneSwitch', 0, { partial: 3, attack: 'tongued' }, FEW],
  ['overtoneHits', 0, { partial: 4, attack: 'tongued' }],
  ['overtoneCascade', 3, { partial: 4 }],
  ['overtoneScale', 0, { route: 'fifth', key: 'D' }, FEW],
  ['fullToSubtone', 3, { beats: 6, start: 'countIn' }],
  ['subtoneFromAir', 0, { beats: 6 }],
  ['overtoneMatch', 0, { partial: 4, start: 'countIn' }],
  ['fifths', 2, { start: 'countIn' }, FEW],
  ['tubeLoop', 0, { partial: 3, beats: 4, start: 'countIn' }, FEW],
  ['ownFirst', 0, { start: 'countIn' }, FEW],
  ['noteBends', 0, { bend: 3 }, FEW],
  ['subtoneStarts', 0, { tries: 2, beats: 4 }, FEW],
  ['subtoneVibrato', 0, { beats: 6, start: 'countIn' }],
  ['vibratoTones', 0, { beats: 6, start: 'countIn' }],
  ['highTries', 0, { note: 93, tries: 3 }],
  ['highImagine', 0, { note: 92 }, FEW],
  ['chartRun', 4, {}, FEW],
  ['mouthpieceMove', 0, {}, FEW],
  ['highByOvertone', 0, { note: 94 }],
  ['highByStep', 0, { note: 93, start: 'countIn' }],
  ['highHold', 0, { beats: 8 }, FEW],
  ['highSwell', 0],
  ['voicingDrop', 0, { bend: 4 }],
  ['voicedNote', 0, { start: 'countIn' }, FEW],
  ['raisedNotes', 0, { raise: 60 }],
  ['ladderHolds', 9, {}, FEW],
  ['lowTwoWays', 1, {}, FEW],
  ['keyRuns', 0, { value: 'wholes' }, FEW],
];

it.each(DRILLS)(
  'judges %s (phrase %i) with every mistake as it was played',
  (family, phrase, choices = {}, most = Infinity) => {
    const hornId =
      HORN_IDS[(DRILLS.findIndex(([id, part]) => id === family && part === phrase) + 1) % HORN_IDS.length];
    const exercise = drill(family, phrase, hornId, choices);
    const clean = play(exercise, hornId, [], 5);
    if (!clean.analysis) throw new Error(`${family}: nothing heard`);
    for (const item of clean.analysis.items)
      expect(isCalm(item), `${family} clean: item ${item.item} ${JSON.stringify(item.verdict)}`).toBe(true);
    follows({ ...clean, analysis: clean.analysis }, `${family} clean`);
    counts.clean++;
    const score = scoreOf(exercise);
    const all = score.map((_, index) => mistakes(exercise, index));
    // Each kind of mistake once, on one item after the other.
    const kinds = new Set(
      all
        .flat()
        .map(({ fault }) =>
          `${fault.kind} ${'atSeconds' in fault ? fault.atSeconds : ''} ${'lengthSeconds' in fault ? fault.lengthSeconds : ''}`.trim(),
        ),
    );
    let turn = 0;
    for (const kind of [...kinds].slice(0, most)) {
      const able = all
        .flat()
        .filter(
          ({ fault }) =>
            kind ===
            `${fault.kind} ${'atSeconds' in fault ? fault.atSeconds : ''} ${'lengthSeconds' in fault ? fault.lengthSeconds : ''}`.trim(),
        );
      const { fault, check } = able[turn++ % able.length];
      const played = play(exercise, hornId, [fault], 5 + turn);
      const why = `${hornId} ${family} ${JSON.stringify(fault)}`;
      expect(played.analysis, why).not.toBeNull();
      if (!played.analysis) continue;
      check(played.analysis.items[fault.item], why);
      follows({ ...played, analysis: played.analysis }, why);
      counts.named++;
    }
  },
);

it.each([
  ['fullScales', 3, 'tenor', {}],
  ['highScales', 0, 'alto', { high: 93, key: 'C', beats: 2 }],
] as const)('follows %s note by note', (family, phrase, hornId, choices) => {
  const { analysis, items } = play(drill(family, phrase, hornId, choices), hornId, [], 9);
  if (!analysis) throw new Error('nothing heard');
  follows({ analysis, items }, family);
  expect(analysis.verdict.asWritten).toBe(analysis.verdict.judged);
});

it('prints how near it came', () => {
  console.info(
    `drills: ${counts.plays} performances, ${counts.heard} of them as sound, ${counts.clean} clean and called clean, ${counts.named} mistakes named, ${counts.items} items found; worst ` +
      Object.entries(worst)
        .map(([name, off]) => `${name} ${off.toFixed(1)} of ${TOLERANCE[name as keyof typeof TOLERANCE]}`)
        .join(', '),
  );
  expect(counts.clean).toBe(DRILLS.length);
});
