import { DEFAULT_SCALE, FAMILIES } from '@inner-hum/core/exercise';
import { notesToCsv, notesToJson, takesToCsv } from '@inner-hum/core/formats';
import { headlineOf } from '@inner-hum/core/headline';
import { hornById } from '@inner-hum/core/horn';
import { practisedNotes } from '@inner-hum/core/practice';
import { createRandom } from '@inner-hum/core/signal';
import { observationsIn } from '@inner-hum/core/tendency';
import { HEADLINE_DRILLS, runRow } from '@inner-hum/core/verdicts';
import type { TFunction } from 'i18next';
import { beforeAll, expect, it } from 'vitest';
import { drillAddress } from '../addresses/index.ts';
import { findingText, headlineText, playedOf } from '../notation/index.ts';
import { englishInTests } from '../notation/englishInTests.ts';
import { InkTrack, writtenInk } from '../ribbon/index.ts';
import { ownAddress, takeKeys, type TakeRecord } from '../storage/index.ts';
import { faultOfRow } from '../storage/rowChecks.ts';
import { TEST_TAKE } from '../storage/testTake.ts';

// Takes as an archive may bring them: one field is odd. Either the door refuses the row, or every reader can go on with it.

/** `DOOR_CASES=100000` for a long look. */
const CASES = Number(process.env.DOOR_CASES ?? 6000);

let t: TFunction;
beforeAll(async () => {
  t = await englishInTests();
});

/** One judged take of every family, with a fault where it has one. */
const TAKES: TakeRecord[] = HEADLINE_DRILLS.map((drill, i) => {
  const row = drill.rows[i % drill.rows.length];
  const hornId = drill.hornId ?? 'alto';
  const { written, analysis } = runRow(
    {
      family: drill.family,
      hornId,
      phrase: row.phrases?.[0] ?? drill.phrase ?? 0,
      choices: row.choices ?? drill.choices ?? {},
      played: row.played,
      change: row.change ?? ((exercise) => exercise),
      faults: row.faultsAt?.[0] ?? row.faults ?? [],
      profile: row.profile ?? {},
      wanted: 'passes',
    },
    'truth',
    7,
  );
  return {
    ...TEST_TAKE,
    id: drill.family,
    state: 'kept',
    startedAt: Date.UTC(2026, 2, 14),
    hornId,
    loudness: { softDb: -40, loudDb: -20 },
    playingLoad: { playedSeconds: 3, highSeconds: 0, loudSeconds: 1 },
    context: {
      exercise: written,
      hornId,
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      toleranceId: 'usual',
      roomFloorDb: null,
      beatZeroSeconds: null,
    },
    analysis,
  };
});

/** All that the rooms ask of a take. */
function readAll(take: TakeRecord): void {
  takeKeys(take);
  headlineText([take], [], 'letters', t);
  const { context, analysis } = take;
  if (context) new InkTrack(writtenInk({ ...context, scale: take.scale }, analysis?.beatZeroSeconds ?? 0));
  if (!context || !analysis) return;
  headlineOf(playedOf(take));
  practisedNotes(context, analysis, take);
  observationsIn(context, analysis);
  for (const { findings } of [analysis.verdict, ...analysis.items.flatMap(({ verdict }) => verdict ?? [])])
    for (const finding of findings) findingText(finding, 'letters', t);
  notesToCsv([take]);
  notesToJson([take]);
  takesToCsv([take]);
}

const HOSTILE: readonly unknown[] = [
  undefined,
  null,
  Number.NaN,
  Infinity,
  -1e300,
  1.5,
  -1,
  0,
  1e6,
  '',
  'x',
  'https://example.org/',
  'x'.repeat(70_000),
  [],
  {},
  [null],
  ['x'],
  true,
  JSON.parse('{"__proto__": {"kind": "note"}, "constructor": 1}') as unknown,
];

type Path = readonly (string | number)[];

/** Every place in a value, its first elements standing for the others. */
function* placesIn(value: unknown, path: Path = []): Generator<Path> {
  if (path.length > 0) yield path;
  if (typeof value !== 'object' || value === null) return;
  for (const [name, inner] of Object.entries(value)) {
    if (Array.isArray(value) && Number(name) > 2) return;
    yield* placesIn(inner, [...path, name]);
  }
}

function withOdd(take: TakeRecord, path: Path, odd: unknown): TakeRecord {
  const copy = structuredClone(take);
  const last = path.length - 1;
  const holder = path
    .slice(0, last)
    .reduce<Record<string, unknown>>(
      (inner, name) => inner[name] as Record<string, unknown>,
      copy as unknown as Record<string, unknown>,
    );
  if (odd === undefined) Reflect.deleteProperty(holder, path[last]);
  else holder[path[last]] = odd;
  return copy;
}

it('knows the address of every drill as its own, whatever is chosen in it', () => {
  const horn = hornById('alto');
  for (const family of FAMILIES) {
    const options = family.options(horn);
    const choices = Object.fromEntries(
      Object.entries(options ?? {}).map(([name, option]) => [
        name,
        'values' in option ? option.values.at(-1) : 'most' in option ? option.most : option.usual,
      ]),
    );
    const address = drillAddress(family, horn, choices as never);
    expect(ownAddress(address), address).toBe(address);
  }
});

it('takes what the app itself has judged', () => {
  for (const take of TAKES) {
    expect(faultOfRow('takes', take), take.id).toBeNull();
    readAll(take);
  }
});

it('takes no row that a reader could fail on, whatever one of its fields holds', () => {
  const random = createRandom(Number(process.env.SEED ?? 5));
  const pick = <T>(list: readonly T[]) => list[Math.floor(random.uniform() * list.length)];
  const places = TAKES.map((take) => [...placesIn(take)]);
  const broken: string[] = [];
  let refused = 0;
  for (let i = 0; i < CASES; i++) {
    const which = i % TAKES.length;
    const path = pick(places[which]);
    const odd = pick(HOSTILE);
    const take = withOdd(TAKES[which], path, odd);
    if (faultOfRow('takes', take) !== null) {
      refused++;
      continue;
    }
    try {
      readAll(take);
    } catch (error) {
      broken.push(
        `${TAKES[which].id}: ${path.join('.')} = ${JSON.stringify(odd)?.slice(0, 40)}: ${(error as Error).message.slice(0, 80)}`,
      );
    }
  }
  console.log(`rows with one odd field: ${CASES}, refused ${refused}, of the others broken ${broken.length}`);
  expect(broken.slice(0, 20)).toEqual([]);
  expect(refused).toBeGreaterThan(CASES / 3);
});
