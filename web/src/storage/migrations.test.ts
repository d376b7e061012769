import { format } from 'date-fns';
import Dexie from 'dexie';
import { expect, it } from 'vitest';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { FrameTrack, MAX_PARTIAL } from '@inner-hum/core/hearing';
import { unpackNotes } from '@inner-hum/core/practice';
import {
  database,
  listPractice,
  newestTakes,
  listQuarantine,
  listTendencyDays,
  loadSamples,
  openDatabase,
  readSettings,
} from './index.ts';
import { DATABASE_VERSION } from './tables.ts';
import { faultOfRow } from './rowChecks.ts';

// Databases as each version left them behind: what a player who has not come for years brings along.

const AT = new Date(2025, 3, 12, 18, 30).getTime();
const DAY = format(AT, 'yyyy-MM-dd');

/** Tables as they were declared, each version on top of those before it. */
const SCHEMAS: Record<number, Record<string, string | null>> = {
  1: {
    takes: 'id, state, startedAt',
    chunks: '[takeId+index], takeId',
    frames: 'takeId',
    settings: 'id',
    calibrations: 'id, madeAt',
  },
  2: {},
  3: {},
  4: { takes: 'id, state, startedAt, roundId', rounds: 'id, startedAt' },
  5: { exercises: 'id, createdAt' },
  6: { mouthpieces: 'id, hornId', highFingerings: 'id, mouthpieceId' },
  7: { tendencyDays: 'id, setup, [setup+source+day]', sheets: 'day' },
  8: {
    practiceDays: 'id, day',
    reeds: 'id, hornId',
    hornChecks: 'id, hornId, day',
    dayNotes: 'day',
    performances: 'takeId',
    trials: 'id',
    aims: 'id',
  },
  9: {
    takes: [
      'id, state, startedAt, roundId, [day+startedAt], hornId, deletedAt, keys.noted',
      'keys.note, [keys.note+startedAt], keys.shelf, [keys.shelf+startedAt], [keys.judged+startedAt]',
    ].join(', '),
    sounds: 'takeId',
    setAside: 'id',
    folders: 'id',
  },
  10: { quarantine: 'id', setAside: null },
  11: {
    takes: [
      'id, state, startedAt, roundId, [day+startedAt], hornId, deletedAt, keys.noted',
      'keys.note, [keys.note+startedAt], keys.shelf, [keys.shelf+startedAt], [keys.judged+startedAt]',
      '[keys.record+startedAt+keys.figure]',
    ].join(', '),
  },
};
const VERSIONS = Object.keys(SCHEMAS).map(Number);

const note = (lengthBeats: number) => ({
  kind: 'note',
  writtenMidi: 67,
  lengthBeats,
  dynamics: [
    { beat: 0, mark: 'pp' },
    { beat: lengthBeats, mark: 'ff' },
  ],
});

function exerciseOf(version: number) {
  if (version < 4) return { version: 1, tempoBpm: 60, beatsPerBar: 4, start: 'countIn', items: [note(4)] };
  const items = [{ ...note(4), fingered: null, open: false, attack: 'any', judged: null }];
  return {
    version: version < 10 ? 2 : 3,
    family: 'swell',
    tempoBpm: 60,
    tempoRangeBpm: null,
    beatsPerBar: 4,
    start: 'countIn',
    order: 'asWritten',
    rest: { kind: 'asPlayed' },
    onFault: 'finish',
    overtones: 'tempered',
    phrases: [{ items, breath: 'one', repeats: 1 }],
  };
}

function analysisOf(version: number) {
  const measures = {
    centsMean: -3,
    ...(version < 2
      ? { bendWithLevel: { centsPer10Db: -9, r2: 0.97 } }
      : version < 10
        ? { bendWithLevel: -9, bendWithLevelR2: 0.97, levelDb: null }
        : { pitchSlopeCentsPer10Db: -9, pitchSlopeR2: 0.97, levelDb: null, endToEndCents: null }),
    ...(version >= 3 && { responseMs: version === 9 ? NaN : null }),
  };
  const events = [
    ...(version === 9 ? [{ type: 'airOnset', timeSeconds: NaN }] : []),
    { type: 'toneOnset', timeSeconds: 0.6 },
    ...(version === 9 ? [{ type: 'release', timeSeconds: 4.4, clean: false, sagCents: 10_140 }] : []),
    { type: 'end', timeSeconds: 4.5 },
  ];
  const verdict = {
    findings: [{ kind: 'even' }],
    advice: 'addABeat',
    band: { pitchCents: 10, swellErrorDb: 2.5 },
  };
  if (version < 4) return { measures, events, verdict, beatZeroSeconds: 0.5 };
  const item = {
    item: 0,
    kind: 'note',
    status: 'played',
    writtenMidi: 67,
    heardMidi: null,
    startSeconds: 0.6,
    endSeconds: 4.5,
    events,
    measures,
    verdict,
  };
  return {
    measures,
    events,
    beatZeroSeconds: 0.5,
    verdict: { ...verdict, of: [0], judged: 1, asWritten: 1 },
    items: [item],
  };
}

/** A take with exactly the fields that its version wrote. */
function takeOf(version: number, id: string, isJudged: boolean) {
  return {
    id,
    state: 'kept',
    kind: isJudged ? (version < 4 ? 'swell' : 'exercise') : 'free',
    startedAt: AT,
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    source: 'microphone',
    eyes: 'watch',
    sampleRateHz: 48000,
    lengthSeconds: 5,
    context: isJudged
      ? {
          exercise: exerciseOf(version),
          hornId: 'alto',
          a4Hz: 440,
          scale: DEFAULT_SCALE,
          toleranceId: 'usual',
          roomFloorDb: null,
          beatZeroSeconds: 0.5,
        }
      : null,
    dueClickSeconds: [],
    foundClickSeconds: [],
    analysis: isJudged ? analysisOf(version) : null,
    loudness: null,
    playerNote: 'stiff reed',
    recovered: false,
    deletedAt: null,
    ...(version >= 4 && { roundId: null, phrase: 0, call: null }),
    ...(version >= 6 && {
      mouthpieceId: 'alto.first',
      reedKind: '',
      [version < 10 ? 'strain' : 'playingLoad']: null,
    }),
    ...(version >= 8 && { reedId: '' }),
    ...(version >= 9 && { day: DAY, clock: '18:30', keys: { note: 'free', noted: 1 } }),
  };
}

function framesOf(version: number) {
  const columns: Record<string, Float32Array> = {};
  for (const name of [
    'f0Hz',
    'clarity',
    'levelDb',
    ...(version < 10 ? ['brightness', 'breathDb'] : ['centroidHarmonics', 'noiseToHarmonicDb']),
    ...(version >= 3 ? ['airDb', 'unaidedHz'] : []),
  ])
    columns[name] = Float32Array.of(220, NaN);
  if (version >= 3) columns.partialsDb = new Float32Array(2 * MAX_PARTIAL).fill(-40);
  return columns;
}

async function leaveBehind(name: string, version: number): Promise<void> {
  const old = new Dexie(name);
  for (const each of VERSIONS.filter((v) => v <= version)) old.version(each).stores(SCHEMAS[each]);
  await old.table('takes').bulkAdd([takeOf(version, 'judged', true), takeOf(version, 'free', false)]);
  await old.table('chunks').add({ takeId: 'judged', index: 0, samples: Float32Array.of(0.25, -0.5) });
  await old.table('frames').add({ takeId: 'judged', columns: framesOf(version) });
  await old.table('settings').add({ id: 'settings', hornId: 'tenor', a4Hz: 442, cautionsRead: ['hearing'] });
  if (version >= 5)
    await old.table('exercises').add({ id: 'own', createdAt: AT, exercise: exerciseOf(version) });
  if (version >= 8) {
    const [measure, aim] =
      version < 10 ? ['brightness', 'bendWithLevel'] : ['centroidHarmonics', 'pitchSlopeCentsPer10Db'];
    await old.table('trials').add({ id: 'trial', measure, tone: 'softStart' });
    await old.table('aims').add({ id: 'aim', goal: { measure: aim, scope: {}, target: 3 } });
  }
  const aside = { id: 'takes/"x"', table: 'takes', why: 'no', row: 7 };
  if (version === 9) await old.table('setAside').add({ ...aside, setAsideAt: AT });
  if (version >= 10) await old.table('quarantine').add({ ...aside, quarantinedAt: AT });
  old.close();
}

it.each(VERSIONS)('brings a database of version %i up to date with everything in it', async (version) => {
  await leaveBehind(`from-${version}`, version);
  openDatabase(`from-${version}`);
  const takes = await newestTakes(1000);
  expect(takes.map(({ id }) => id).toSorted()).toEqual(['free', 'judged']);
  // As strict as the door for archives: no room can stumble over it.
  for (const take of takes) expect(faultOfRow('takes', take)).toBeNull();
  const judged = takes.find(({ id }) => id === 'judged');
  expect(judged).toMatchObject({
    kind: 'exercise',
    day: DAY,
    clock: '18:30',
    playerNote: 'stiff reed',
    reedId: '',
  });
  expect(judged?.context?.exercise).toMatchObject({ version: 3, start: 'countIn' });
  expect(judged?.context?.exercise.phrases[0].items[0]).toMatchObject({ writtenMidi: 67, attack: 'any' });
  expect(judged?.analysis?.measures).toMatchObject({
    centsMean: -3,
    pitchSlopeCentsPer10Db: -9,
    pitchSlopeR2: 0.97,
  });
  expect(judged?.analysis?.items[0].measures).not.toHaveProperty('bendWithLevel');
  // No figure is a number that is none, and no tone ends octaves off its pitch.
  expect(JSON.stringify(judged?.analysis)).not.toContain('10140');
  expect(judged?.analysis?.measures).toMatchObject({ responseMs: null, endToEndCents: null });
  expect(judged?.analysis?.events.every(({ timeSeconds }) => Number.isFinite(timeSeconds))).toBe(true);
  expect(judged).toMatchObject({ playingLoad: null });
  expect(judged?.analysis?.items).toMatchObject([{ status: 'played', startSeconds: 0.6, endSeconds: 4.5 }]);
  expect(judged?.analysis?.verdict).toMatchObject({ of: [0], judged: 1, asWritten: 1 });
  expect(await loadSamples('judged')).toEqual(Float32Array.of(0.25, -0.5));
  if (version >= 5)
    expect((await database().exercises.get('own'))?.exercise).toMatchObject({ version: 3, start: 'countIn' });
  const columns = (await database().frames.get('judged'))?.columns;
  expect(columns).toMatchObject({ f0Hz: Float32Array.of(220, NaN) });
  expect(columns?.partialsDb).toHaveLength(2 * MAX_PARTIAL);
  expect(Object.keys(columns ?? {}).toSorted()).toEqual(Object.keys(new FrameTrack(0).slice(0)).toSorted());
  if (version >= 8) {
    expect(await database().trials.get('trial')).toMatchObject({
      measure: 'centroidHarmonics',
      attacks: { a: 'breath', b: 'breath' },
    });
    const goal = { measure: 'pitchSlopeCentsPer10Db' };
    expect(await database().aims.get('aim')).toMatchObject({ goal });
  }
  expect(await listQuarantine()).toEqual(
    version >= 9 ? [{ id: 'takes/"x"', table: 'takes', why: 'no', quarantinedAt: AT, row: 7 }] : [],
  );
  expect(await readSettings()).toMatchObject({ hornId: 'tenor', a4Hz: 442 });
  // What is made of takes is made of these. The take has no level: it counts for no pitch, but its day is there.
  if (version < 10)
    expect((await listTendencyDays('alto.first|', 'microphone')).map(({ day }) => day)).toEqual([DAY]);
  if (version >= 11) return;
  const [practice] = await listPractice('microphone', DAY, DAY);
  expect(practice).toMatchObject({ day: DAY, takes: 2, words: 'stiff reed\nstiff reed' });
  expect(unpackNotes(practice)).toMatchObject([{ writtenMidi: 67, asWritten: true }]);
});

it('has the tables of the version it says it has: another table or index is another version', async () => {
  const declared: Record<string, string> = {
    ...Object.assign({}, ...VERSIONS.map((version) => SCHEMAS[version])),
    // Version 11.
    takes: `${SCHEMAS[9].takes}, [keys.record+startedAt+keys.figure]`,
    // Version 13.
    tasks: 'id',
  };
  delete declared.setAside;
  openDatabase('as declared');
  await database().open();
  expect(database().verno).toBe(DATABASE_VERSION);
  expect(DATABASE_VERSION).toBe(13);
  const found = Object.fromEntries(
    database().tables.map(({ name, schema }) => [
      name,
      [schema.primKey.src, ...schema.indexes.map(({ src }) => src)].join(', '),
    ]),
  );
  const sorted = (tables: Record<string, string>) =>
    Object.fromEntries(
      Object.entries(tables).map(([name, keys]) => [name, keys.split(', ').toSorted().join(', ')]),
    );
  expect(sorted(found)).toEqual(sorted(declared));
});
