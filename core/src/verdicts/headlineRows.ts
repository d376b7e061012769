import type { Choices, DynamicMark, Exercise, FamilyId } from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { ItemFault, SimulatedProfile } from '../simulated/index.ts';
import { flat, longer, marked, notes } from './verdictTable.ts';

/** One way of playing a drill: phrase by phrase, where a whole round is told of. */
export interface HeadlineRow {
  played: string;
  /** Absent: those of the drill. */
  choices?: Choices;
  /** Absent: the drill's phrase alone. */
  phrases?: readonly number[];
  change?: (written: Exercise) => Exercise;
  faults?: readonly ItemFault[];
  /** In the phrases of a round, by their place in it. */
  faultsAt?: Readonly<Record<number, readonly ItemFault[]>>;
  profile?: Partial<SimulatedProfile>;
  /** Heard by sound, and not straight from what was meant: what only sound has. */
  bySound?: true;
  /** What earlier takes came to in the drill's record. */
  past?: readonly number[];
}

/** A drill as it is usually played, and its likeliest faults. */
export interface HeadlineDrill {
  family: FamilyId;
  hornId?: HornId;
  phrase?: number;
  choices?: Choices;
  rows: readonly HeadlineRow[];
}

const off = (item: number, cents: number, levelDb = 0): ItemFault => ({ item, kind: 'off', cents, levelDb });
const missed = (item: number): ItemFault => ({ item, kind: 'missed' });
const late = (item: number, seconds: number): ItemFault => ({ item, kind: 'late', seconds });
const parted = (item: number, gapMs: number): ItemFault => ({ item, kind: 'parted', gapMs });
const slid = (item: number, glideMs: number): ItemFault => ({
  item,
  kind: 'slowSlur',
  glideMs,
  overshootCents: 0,
});
const slow = (item: number, responseMs: number): ItemFault => ({ item, kind: 'slowAnswer', responseMs });
const partial = (item: number, of: number): ItemFault => ({ item, kind: 'wrongPartial', partial: of });
const fell = (item: number, atSeconds: number, toPartial = 1): ItemFault => ({
  item,
  kind: 'slip',
  atSeconds,
  lengthSeconds: 9,
  toPartial,
});
const overtoneFirst = (item: number, toPartial: number): ItemFault => ({
  item,
  kind: 'slip',
  atSeconds: 0,
  lengthSeconds: 0.14,
  toPartial,
});
const full = (item: number): ItemFault => ({ item, kind: 'noSubtone' });
const weak = (item: number): ItemFault => ({ item, kind: 'weak' });
const air = (item: number, db: number): ItemFault => ({ item, kind: 'air', db });
const oneColour = (item: number): ItemFault => ({ item, kind: 'oneColour' });
const shallow = (item: number): ItemFault => ({ item, kind: 'shallowBend', share: 0.5 });
const squawk = (item: number, seconds: number): ItemFault => ({ item, kind: 'squawk', seconds });
/** Both fingerings with one and the same colour. */
const STILL = Array.from({ length: 17 }, (_, item): ItemFault => ({ item, kind: 'colour', at: 0.5 }));
const straight = (item: number): ItemFault => ({ item, kind: 'vibrato', rateHz: 0, widthCents: 0 });

const CLEAN: HeadlineRow = { played: 'as written' };
const bending = { bendCentsPer10Db: -8 };
const narrower = (from: DynamicMark, to: DynamicMark) =>
  notes((note) => ({
    ...note,
    dynamics: note.dynamics.map((point) => ({
      ...point,
      mark: point.mark === 'pp' || point.mark === 'p' ? from : to,
    })),
  }));
const shorter = notes((note) => ({
  ...note,
  lengthBeats: 9,
  dynamics: [
    { beat: 0, mark: 'mf' },
    { beat: 9, mark: 'mf' },
  ],
}));
const starts = [3, 5, 7];

/** Hairpins, note after note. */
const swellRows: readonly HeadlineRow[] = [
  CLEAN,
  { played: 'flat when loud', profile: bending },
  { played: 'from mp to mf only', change: narrower('mp', 'mf') },
  { played: 'the second not heard', faults: [missed(1)] },
];
const slurRows = (last: number, wrong: readonly HeadlineRow[]): readonly HeadlineRow[] => [
  CLEAN,
  { played: 'a hole of 150 ms before the last', faults: [parted(last, 150)] },
  { played: 'slid into the last', faults: [slid(last, 260)] },
  ...wrong,
];
const hitRows = (at: number, wrong: readonly HeadlineRow[]): readonly HeadlineRow[] => [
  CLEAN,
  ...wrong,
  { played: '18 cents flat', faults: [off(at, -18)] },
];

/** Every family: as it is written, and played with the faults that are likeliest there. */
export const HEADLINE_DRILLS: readonly HeadlineDrill[] = [
  {
    family: 'airThenNote',
    rows: [
      { ...CLEAN, phrases: [0, 1, 2] },
      { played: 'the third partial speaks first', faults: [overtoneFirst(1, 3)] },
      { played: 'it never speaks', faults: [missed(1)] },
      { played: 'the air is not heard', faults: [missed(0), missed(2)] },
    ],
  },
  {
    family: 'lipPositions',
    rows: [
      {
        played: 'B lets more through, every time',
        phrases: [0, 1, 2, 3],
        faultsAt: { 0: [air(0, 3)], 1: [air(2, 3.4)], 2: [air(0, 3.1)], 3: [air(0, 2.8)] },
      },
      { played: 'A and B alike', phrases: [0, 1, 2, 3] },
      { played: 'one pair, B 5 dB more', faults: [air(0, 5)] },
      { played: 'the second air not heard', faults: [missed(2)] },
    ],
  },
  {
    family: 'mouthpieceAlone',
    phrase: 1,
    rows: [
      { ...CLEAN, past: [180, 195] },
      { played: 'bent half as far', faults: [shallow(0)] },
      { played: 'broken on the way', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 3 }] },
      { played: 'held, 20 cents flat', phrases: [0], faults: [off(0, -20)] },
    ],
  },
  {
    family: 'neckAlone',
    phrase: 1,
    rows: [
      CLEAN,
      { played: 'bent half as far', faults: [shallow(0)] },
      { played: '25 cents sharp', faults: [off(0, 25)] },
      { played: 'held', phrases: [0] },
    ],
  },
  {
    family: 'hearHumPlay',
    rows: [
      CLEAN,
      { played: 'landed 25 cents flat', faults: [off(2, -25)] },
      { played: 'hummed 70 cents flat', faults: [off(1, -70)] },
      { played: 'not played', faults: [missed(2)] },
    ],
  },
  {
    family: 'intervalTones',
    phrase: 2,
    rows: [
      CLEAN,
      { played: 'landed 30 cents flat', faults: [off(2, -30)] },
      { played: 'a half step too high', faults: [{ item: 2, kind: 'wrongNote', semitones: 1 }] },
      { played: 'a round, the fourth 40 cents sharp', phrases: [2, 3, 4], faultsAt: { 2: [off(2, 40)] } },
    ],
  },
  {
    family: 'longHold',
    choices: { beats: 12 },
    rows: [
      { ...CLEAN, past: [9.2, 14.3] },
      { played: 'stopped after nine beats', change: shorter },
      { played: 'partial 3 of low B flat', choices: { beats: 12, note: 58, partial: 3 } },
      { played: 'slipped after five seconds', faults: [fell(0, 5, 2)], past: [8] },
      { played: 'a breath after seven seconds', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 7 }] },
    ],
  },
  {
    family: 'threeZones',
    choices: { beats: 8, minutes: 3 },
    rows: [
      { ...CLEAN, phrases: [0, 1, 40, 41, 80] },
      {
        played: 'the low note slips the second time',
        phrases: [0, 1, 40, 41, 80],
        faultsAt: { 3: [fell(0, 4, 2)] },
      },
      { played: 'the high note not heard', phrases: [0, 40, 80], faultsAt: { 2: [missed(0)] } },
      {
        played: 'the middle note shorter the second time',
        phrases: [0, 1],
        faultsAt: { 1: [{ item: 0, kind: 'earlyBreath', atSeconds: 5 }] },
      },
    ],
  },
  {
    family: 'chromaticTones',
    choices: { note: 60, to: 65, shape: 'fade' },
    rows: [
      { ...CLEAN, choices: { shape: 'steady' } },
      { played: '22 cents sharp, held', choices: { shape: 'steady' }, faults: [off(0, 22)] },
      { ...CLEAN, played: 'every one faded', phrases: [0, 1, 2, 3, 4, 5] },
      { played: 'flat when loud', phrases: [0, 1, 2, 3, 4, 5], profile: bending },
      {
        played: 'D slips an octave, E flat breaks off',
        phrases: [0, 1, 2, 3, 4, 5],
        faultsAt: { 2: [fell(0, 5, 2)], 3: [{ item: 0, kind: 'earlyBreath', atSeconds: 4 }] },
      },
      { played: 'C not heard', phrases: [0, 1, 2], faultsAt: { 0: [missed(0)] } },
    ],
  },
  {
    family: 'swell',
    rows: [
      CLEAN,
      { played: 'flat when loud', profile: bending },
      { played: 'from mp to mf only', change: narrower('mp', 'mf') },
      { played: 'one stair', profile: { stairs: [{ atBeat: 2, holdSeconds: 0.9 }] } },
    ],
  },
  { family: 'pairedSwells', rows: swellRows },
  { family: 'wideningDown', phrase: 3, rows: swellRows },
  { family: 'wideningUp', phrase: 3, rows: swellRows },
  {
    family: 'alternatingSwells',
    rows: [
      CLEAN,
      { played: 'flat mf', change: flat('mf') },
      { played: 'the last begun at p', change: marked(6, 'p', 'p') },
      { played: 'the third not heard', faults: [missed(4)] },
    ],
  },
  {
    family: 'beatsOnOff',
    rows: [
      CLEAN,
      { played: 'every note half a beat too long', change: longer(0.5) },
      { played: 'the second 250 ms late', faults: [late(2, 0.25)] },
      { played: 'the third not heard', faults: [missed(4)] },
    ],
  },
  {
    family: 'quietDescent',
    rows: [
      { ...CLEAN, past: [9.4, 13.2] },
      { played: 'f all through', change: flat('f') },
      { played: 'a breath in the second', faults: [{ item: 1, kind: 'earlyBreath', atSeconds: 2 }] },
      { played: 'the lowest does not speak', faults: [missed(3)] },
    ],
  },
  {
    family: 'octaveRestart',
    rows: [
      CLEAN,
      { played: 'starts 10 dB softer', faults: starts.map((item) => off(item, 0, -10)) },
      { played: 'the second start answers late', faults: [slow(5, 400)], bySound: true },
      { played: 'the upper partial first', faults: starts.map((item) => overtoneFirst(item, 2)) },
    ],
  },
  {
    family: 'lowTwoWays',
    rows: [
      { ...CLEAN, phrases: [0, 1] },
      {
        played: 'the slurred bottom an octave high',
        phrases: [0, 1],
        faultsAt: { 1: [partial(8, 2), partial(9, 2)] },
      },
      { played: 'B flat does not speak, tongued', phrases: [0, 1], faultsAt: { 0: [missed(9)] } },
      { played: 'an overtone first', phrases: [0, 1], faultsAt: { 0: [overtoneFirst(9, 2)] } },
    ],
  },
  {
    family: 'returnToBottom',
    phrase: 3,
    rows: slurRows(2, [{ played: 'the bottom an octave high', faults: [partial(2, 2)] }]),
  },
  {
    family: 'dropToBottom',
    phrase: 3,
    rows: slurRows(1, [{ played: 'the bottom an octave high', faults: [partial(1, 2)] }]),
  },
  {
    family: 'vowelSweep',
    rows: [
      CLEAN,
      { played: 'one colour', faults: [oneColour(0)] },
      { played: '20 cents flat', faults: [off(0, -20)] },
      { played: 'a breath after four seconds', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 4 }] },
    ],
  },
  {
    family: 'noteBends',
    choices: { bend: 3 },
    rows: [
      { ...CLEAN, past: [120, 180] },
      { played: 'bent half as far', faults: [shallow(0)] },
      { played: 'broken on the way', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 3 }] },
      { played: '25 cents sharp', faults: [off(0, 25)] },
    ],
  },
  {
    family: 'subtoneFromAir',
    rows: [
      CLEAN,
      { played: 'the first still full', faults: [full(1)] },
      { played: 'the second weak', faults: [weak(3)] },
      { played: 'the first not heard', faults: [missed(1)] },
    ],
  },
  {
    family: 'fullToSubtone',
    phrase: 4,
    rows: [
      CLEAN,
      { played: 'still full', faults: [full(1)] },
      { played: 'weak', faults: [weak(1)] },
      { played: 'not heard', faults: [missed(1)] },
    ],
  },
  {
    family: 'subtoneStarts',
    rows: [
      CLEAN,
      { played: 'one still full', faults: [full(4)] },
      {
        played: 'begun by the tongue',
        change: notes((note, i) => (i > 0 ? { ...note, attack: 'tongued' } : note)),
      },
      { played: 'one not heard', faults: [missed(6)] },
    ],
  },
  {
    family: 'subtoneVibrato',
    rows: [
      CLEAN,
      { played: 'no swing', faults: [straight(2)] },
      { played: 'the swing too fast', faults: [{ item: 2, kind: 'vibrato', rateHz: 6.5, widthCents: 15 }] },
      { played: 'still full', faults: [full(1), full(2)] },
    ],
  },
  {
    family: 'subtoneLine',
    rows: [
      CLEAN,
      { played: 'full from G sharp on', faults: [16, 17, 18].map(full) },
      { played: 'full G sharp on the way up only', faults: [16, 17].map(full) },
      { played: 'all of it full', faults: Array.from({ length: 11 }, (_, i) => full(12 + i)) },
    ],
  },
  {
    family: 'vibratoTones',
    rows: [
      CLEAN,
      { played: 'no swing', faults: [straight(1), straight(2)] },
      {
        played: 'swung where it is straight',
        faults: [{ item: 0, kind: 'vibrato', rateHz: 5, widthCents: 20 }],
      },
      {
        played: 'the normal one too fast',
        faults: [{ item: 2, kind: 'vibrato', rateHz: 8, widthCents: 20 }],
      },
    ],
  },
  {
    family: 'breakDrill',
    phrase: 1,
    rows: slurRows(2, [{ played: 'the lower note an octave low', faults: [partial(2, 1)] }]),
  },
  {
    family: 'fullScales',
    choices: { key: 'D' },
    rows: [
      CLEAN,
      { played: 'one note 8 dB softer', faults: [off(6, 0, -8)] },
      { played: 'two notes slid into', faults: [slid(9, 300), slid(14, 300)] },
      { played: 'one note missed', faults: [missed(11)] },
    ],
  },
  {
    family: 'scaleEnds',
    rows: [
      CLEAN,
      { played: 'the top 8 dB louder', faults: [off(4, 0, 8)] },
      { played: 'a hole', faults: [parted(3, 150)] },
      { played: 'one note missed', faults: [missed(5)] },
    ],
  },
  {
    family: 'keyRuns',
    rows: [
      CLEAN,
      { played: 'one note slides in', faults: [slid(2, 220)] },
      { played: 'one note flat', faults: [off(1, -28)] },
      { played: 'a hole between two', faults: [parted(3, 140)] },
    ],
  },
  {
    family: 'overtoneEar',
    rows: hitRows(2, [
      { played: 'partial 2 spoke', faults: [partial(2, 2)] },
      { played: 'hummed 80 cents sharp', faults: [off(1, 80)] },
    ]),
  },
  {
    family: 'ownFirst',
    rows: hitRows(2, [
      { played: 'the fundamental instead', faults: [partial(2, 1)] },
      { played: 'sung 80 cents flat', faults: [off(1, -80)] },
    ]),
  },
  {
    family: 'overtoneClimb',
    rows: slurRows(3, [{ played: 'the top stays below', faults: [partial(2, 2)] }]),
  },
  {
    family: 'ladderHolds',
    rows: [
      { ...CLEAN, phrases: [0, 3, 6, 9] },
      {
        played: 'the third partial broke off',
        phrases: [0, 3, 6, 9],
        faultsAt: { 2: [{ item: 0, kind: 'earlyBreath', atSeconds: 4 }] },
      },
      { played: 'fell to the bottom at once', phrases: [0, 3, 6, 9], faultsAt: { 3: [partial(1, 1)] } },
      { played: 'the second one flat', phrases: [0, 3, 6, 9], faultsAt: { 1: [off(0, -30)] } },
    ],
  },
  {
    family: 'overtoneSwitch',
    rows: [
      CLEAN,
      { played: 'a hole of 150 ms before the last', faults: [parted(2, 150)] },
      { played: 'the fundamental instead', faults: [partial(1, 1)] },
      { played: 'the low one 20 cents flat', faults: [off(1, -20)] },
    ],
  },
  {
    family: 'overtoneHits',
    choices: { partial: 3 },
    rows: hitRows(0, [
      { played: 'the second on the fundamental', faults: [partial(2, 1)] },
      { played: 'the third falls back', faults: [fell(4, 0.6)] },
    ]),
  },
  {
    family: 'overtoneCascade',
    phrase: 1,
    rows: slurRows(1, [{ played: 'stayed above', faults: [partial(1, 3)] }]),
  },
  {
    family: 'insideFingering',
    rows: [
      CLEAN,
      { played: 'only two notes', faults: [partial(0, 2)] },
      { played: 'all of them flat', faults: [off(0, -22)] },
      { played: 'the low note alone', faults: [partial(0, 1)] },
    ],
  },
  {
    family: 'tubeLoop',
    rows: slurRows(2, [{ played: 'the last overtone stays on the fundamental', faults: [partial(4, 1)] }]),
  },
  {
    family: 'alternation',
    rows: [
      { ...CLEAN, bySound: true },
      { played: 'uneven', bySound: true, faults: [3, 7, 11].map((item) => late(item, 0.09)) },
      {
        played: 'the low fingering flat',
        bySound: true,
        faults: [1, 3, 5, 7, 9, 11, 13, 15].map((item) => off(item, -25)),
      },
      { played: 'the fingers hardly moved', bySound: true, faults: STILL },
      { played: 'faster', bySound: true, choices: { tempoBpm: 112 } },
    ],
  },
  {
    family: 'fifths',
    phrase: 2,
    rows: slurRows(1, [{ played: 'the fifth does not come', faults: [partial(1, 2)] }]),
  },
  {
    family: 'overtoneScale',
    choices: { route: 'fifth', key: 'D' },
    rows: [
      CLEAN,
      { played: 'one note 8 dB softer', faults: [off(2, 0, -8)] },
      { played: 'one on another partial', faults: [partial(1, 2)] },
      { played: 'one note missed', faults: [missed(3)] },
    ],
  },
  {
    family: 'overtoneMatch',
    rows: [
      { ...CLEAN, past: [3.1] },
      { played: 'the second 20 cents sharp', faults: [off(2, 20)] },
      {
        played: 'three ways to one note',
        choices: { ways: 'three', partial: 4 },
        faults: [{ item: 4, kind: 'colour', at: 1 }],
      },
      {
        played: 'each partial in turn, partial 3 brighter',
        choices: { ways: 'partials', partial: 3, tries: 1 },
        phrases: [0, 1],
        faultsAt: { 1: [{ item: 2, kind: 'colour', at: 1 }] },
      },
      { played: 'the second brighter', faults: [{ item: 2, kind: 'colour', at: 1 }] },
      { played: 'the fundamental instead', faults: [partial(2, 1)] },
    ],
  },
  {
    family: 'openedTone',
    rows: [
      { ...CLEAN, past: [2.2, 3.1] },
      { played: 'the second 20 cents flat', faults: [off(2, -20)] },
      { played: 'the second darker', faults: [{ item: 2, kind: 'colour', at: 0 }] },
      { played: 'the second not heard', faults: [missed(2)] },
    ],
  },
  {
    family: 'highTries',
    rows: hitRows(0, [
      { played: 'the second a squawk', faults: [squawk(2, 3)], bySound: true },
      { played: 'the third not heard', faults: [missed(4)] },
    ]),
  },
  {
    family: 'highImagine',
    rows: hitRows(2, [
      { played: 'a squawk instead', faults: [squawk(2, 9)], bySound: true },
      { played: 'partial 2 of its tube', faults: [partial(2, 2)] },
    ]),
  },
  {
    family: 'highByOvertone',
    rows: hitRows(1, [
      { played: 'a hole before it', faults: [parted(1, 150)] },
      { played: 'the high note not heard', faults: [missed(1)] },
    ]),
  },
  {
    family: 'highByStep',
    rows: hitRows(3, [
      { played: 'a hole before it', faults: [parted(3, 150)] },
      { played: 'the high note not heard', faults: [missed(3)] },
    ]),
  },
  {
    family: 'highHold',
    rows: [
      { ...CLEAN, past: [4, 5] },
      { played: 'a squawk before it', faults: [squawk(0, 9)], bySound: true },
      { played: 'a breath after three seconds', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 3 }] },
      { played: '20 cents sharp', faults: [off(0, 20)] },
    ],
  },
  {
    family: 'highSwell',
    rows: [
      CLEAN,
      { played: 'flat when loud', profile: bending },
      { played: 'flat mf', change: flat('mf') },
      { played: 'one stair', profile: { stairs: [{ atBeat: 2, holdSeconds: 0.9 }] } },
    ],
  },
  {
    family: 'voicingDrop',
    choices: { bend: 4 },
    rows: [
      CLEAN,
      { played: 'bent half as far', faults: [shallow(0)] },
      { played: 'broken on the way', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 3 }] },
      { played: '20 cents sharp', faults: [off(0, 20)] },
    ],
  },
  {
    family: 'raisedNotes',
    choices: { raise: 60 },
    rows: [
      CLEAN,
      { played: 'raised half as far', faults: [shallow(0)] },
      { played: 'broken on the way', faults: [{ item: 0, kind: 'earlyBreath', atSeconds: 3 }] },
      { played: '20 cents flat', faults: [off(0, -20)] },
    ],
  },
  {
    family: 'voicedNote',
    rows: [
      CLEAN,
      { played: '16 cents sharp', faults: [off(3, 16)] },
      { played: 'it stays up', faults: [{ item: 3, kind: 'wrongNote', semitones: 3 }] },
      { played: 'a breath in it', faults: [{ item: 3, kind: 'earlyBreath', atSeconds: 2 }] },
    ],
  },
  {
    family: 'highScales',
    choices: { key: 'D' },
    rows: [
      CLEAN,
      { played: 'one note 8 dB softer', faults: [off(6, 0, -8)] },
      { played: 'a hole', faults: [parted(8, 150)] },
      { played: 'one note missed', faults: [missed(11)] },
    ],
  },
  {
    family: 'chartRun',
    phrase: 4,
    rows: [
      CLEAN,
      { played: 'all 25 cents sharp', profile: { tendencyCents: 25 } },
      { played: 'the soft one answers late', faults: [slow(0, 500)], bySound: true },
      { played: 'the loud one not heard', faults: [missed(4)] },
    ],
  },
  {
    family: 'mouthpieceMove',
    rows: [
      { played: 'as before', phrases: [0, 1] },
      {
        played: '12 cents lower after it',
        phrases: [0, 1],
        faultsAt: { 1: [off(0, -12), off(2, -12), off(4, -12)] },
      },
      { played: 'before it alone' },
      { played: 'one note missed', faults: [missed(2)] },
    ],
  },
  {
    family: 'beforeAfter',
    choices: { tries: 3 },
    rows: [
      { played: 'as before', phrases: [0, 1, 2, 3, 4, 5] },
      {
        played: '15 cents higher after it',
        phrases: [0, 1, 2, 3, 4, 5],
        faultsAt: { 3: [off(0, 15)], 4: [off(0, 14)], 5: [off(0, 16)] },
      },
      {
        played: '4 dB softer after it',
        phrases: [0, 1, 2, 3, 4, 5],
        faultsAt: { 3: [off(0, 0, -4)], 4: [off(0, 0, -4.4)], 5: [off(0, 0, -3.6)] },
      },
      { played: 'before it alone' },
    ],
  },
  {
    family: 'firstHearing',
    rows: [
      { ...CLEAN, phrases: [0, 1, 2, 3, 4, 5, 10, 11, 12] },
      { played: 'low B flat not heard', phrases: [0, 1, 2, 3, 4, 5, 11], faultsAt: { 4: [missed(0)] } },
      { played: 'the easy note alone, both ways', phrases: [0, 1] },
      {
        played: 'the twelfth came as the fundamental',
        phrases: [0, 2, 12],
        faultsAt: { 2: [partial(0, 1)] },
      },
    ],
  },
];
