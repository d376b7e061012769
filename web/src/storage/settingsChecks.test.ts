import { expect, it } from 'vitest';
import { SETTINGS_CHECKS } from './settingsChecks.ts';
import { DEFAULT_SETTINGS } from './settingsRecord.ts';

type Name = keyof typeof SETTINGS_CHECKS;

it('takes every default', () => {
  for (const [name, check] of Object.entries(SETTINGS_CHECKS))
    expect(check(DEFAULT_SETTINGS[name as Name]), name).toBe(true);
});

const text = (length: number) => 'x'.repeat(length);
const { keys, drone, checkEveryDays, subtoneWindow, caps } = DEFAULT_SETTINGS;

/** Of each setting the edge that is still taken, and what lies just over it or is of another kind. */
const EDGES: [Name, unknown[], unknown[]][] = [
  ['visited', [true, false], [1, 'true', null, undefined]],
  ['hornId', ['alto', 'baritoneToBb', 'bass'], ['kazoo', '', null, 3]],
  ['source', ['microphone', 'standIn'], ['quick', null]],
  ['profileId', ['', text(40)], [text(41), null, 4, ['a']]],
  ['pace', ['realTime', 'quick'], ['slow']],
  ['a4Hz', [390, 470, 441.5], [389.9, 470.1, '440', NaN, null]],
  [
    'ranges',
    [{}, { alto: { lowest: 40, highest: 110 } }],
    [
      { alto: { lowest: 39, highest: 110 } },
      { alto: { lowest: 60 } },
      { alto: { lowest: 60.5, highest: 70 } },
      [],
      null,
      'alto',
    ],
  ],
  ['topKeys', [{}, { tenor: 'G' }], [{ tenor: 'A' }, null]],
  ['language', ['device', 'de'], ['fr']],
  ['naming', ['german', 'fixedDo'], ['solfege']],
  ['tempoBpm', [20, 300], [19, 301, '60']],
  ['minutes', [null, 1, 240], [0, 241, undefined]],
  ['experience', [null, 'firstYear', 'advanced'], ['beginner', '', undefined]],
  ['openGates', [[], ['subtone', 'altissimo']], [['all'], 'subtone', null, Array(6).fill('subtone')]],
  [
    'paths',
    [{}, { firstTone: { step: 0, since: 0 }, towardHigh: { step: 6, since: 1e12 } }],
    [
      { firstTone: { step: 7, since: 0 } },
      { firstTone: { step: 1.5, since: 0 } },
      { lowRegister: { step: 1 } },
      [],
      null,
    ],
  ],
  [
    'planWishes',
    [[], [{ skill: 'hold', zone: 'low', wish: 'more' }]],
    [[{ skill: 'hold', zone: 'low', wish: 'never' }], [{ skill: 'hold', wish: 'more' }], {}, null],
  ],
  ['beatsPerBar', [1, 12], [0, 13, 3.5]],
  ['subdivision', [1, 4], [0, 5, 2.5]],
  [
    'silentBars',
    [null, { sounding: 1, silent: 8 }],
    [{ sounding: 0, silent: 1 }, { sounding: 1 }, { sounding: 1, silent: 9 }],
  ],
  [
    'drone',
    [{ ...drone, midi: 60, tuning: 'pure', timbre: 'reed' }],
    [
      { ...drone, on: 1 },
      { ...drone, midi: 39 },
      { ...drone, tuning: 'just' },
      { ...drone, timbre: 'organ' },
      [],
    ],
  ],
  [
    'favourites',
    [[], Array(500).fill('swell'), [text(60)]],
    [Array(501).fill('swell'), [text(61)], [3], 'swell', {}],
  ],
  ['intervalLines', [{}, { 7: text(60), 59: '' }], [{ 7: text(61) }, { 7: 3 }, []]],
  ['cautionsReadAt', [{}, { throat: 5 }], [{ throat: 'yesterday' }, null]],
  ['mouthpieceIds', [{ alto: text(60) }], [{ alto: text(61) }]],
  ['reedKinds', [{ alto: text(40) }], [{ alto: text(41) }]],
  ['reedIds', [{ bass: text(60) }], [{ bass: 1 }]],
  [
    'checkEveryDays',
    [
      { leakTest: 7, technician: 1500 },
      { leakTest: null, technician: null },
    ],
    [{ ...checkEveryDays, leakTest: 6 }, { ...checkEveryDays, technician: 1501 }, { leakTest: 7 }],
  ],
  [
    'subtoneWindow',
    [
      { ...subtoneWindow, leastAirierDb: -40, mostBreathDb: 60, mostBrightness: 0.1, softerDb: [0, 1] },
      { ...subtoneWindow, mostBrightness: 1.5 },
    ],
    [
      { ...subtoneWindow, leastAirierDb: -41 },
      { ...subtoneWindow, mostBreathDb: 61 },
      { ...subtoneWindow, mostBrightness: 1.6 },
      { ...subtoneWindow, softerDb: [1] },
      { ...subtoneWindow, softerDb: [1, 2, 3] },
      { ...subtoneWindow, softerDb: [1, '2'] },
    ],
  ],
  ['dismissedFindings', [[text(300)]], [[text(301)], Array(501).fill('')]],
  [
    'caps',
    [{ highMinutes: null, loudMinutes: 1 }],
    [{ ...caps, highMinutes: 0 }, { ...caps, loudMinutes: 241 }, { highMinutes: 1 }],
  ],
  ['archivedAt', [0, 1e15], [-1, '0']],
  ['rowsCheckedDay', ['', '2026-01-01'], [text(11), 0]],
  [
    'keys',
    [keys, { ...keys, watch: 'z', skip: '0' }],
    [
      { ...keys, watch: 'Z' },
      { ...keys, blind: 'ab' },
      { ...keys, pause: '' },
      { ...keys, keep: 1 },
      { watch: '1' },
    ],
  ],
];

it.each(EDGES)('knows the edges of %s', (name, taken, refused) => {
  for (const value of taken) expect(SETTINGS_CHECKS[name](value), JSON.stringify(value)).toBe(true);
  for (const value of refused) expect(SETTINGS_CHECKS[name](value), JSON.stringify(value)).toBe(false);
});
