import { parse as readCsv } from 'csv-parse/sync';
import * as fc from 'fast-check';
import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { buildSwell, DEFAULT_SCALE } from '../exercise/index.ts';
import { listenTo } from '../hearing/index.ts';
import { writtenMidi } from '../horn/index.ts';
import { analyseTake, type TakeContext } from '../judge/index.ts';
import { playExercise, WARM_UP } from '../simulated/index.ts';
import {
  BYTE_ORDER_MARK,
  CSV_STYLES,
  mapToCsv,
  notesToCsv,
  notesToJson,
  readJson,
  takesToCsv,
  toCsv,
  type Cell,
  type TabledTake,
} from './index.ts';

/** Read as what it is: left to guess, the reader takes other letters for commas. */
const parsed = (csv: string) =>
  Papa.parse<string[]>(csv.replace(/\r\n$/, ''), { delimiter: ',', newline: '\r\n' }).data;

it('writes tables that come back cell by cell, with nothing a spreadsheet would run', () => {
  const cell = fc.oneof(
    fc.string({ maxLength: 12 }),
    fc.constantFrom(
      '=1+1',
      '+cmd',
      '-2',
      '@x',
      '\t=1',
      '\n=1',
      'a,b',
      'say "so"',
      'two\nlines',
      'ünïcode 𝄞',
      '',
    ),
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.boolean(),
    fc.constant(null),
  );
  fc.assert(
    fc.property(
      fc.array(fc.array(cell, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 5 }),
      (rows) => {
        const csv = toCsv(rows);
        expect(csv.endsWith('\r\n')).toBe(true);
        const back = parsed(csv);
        expect(back).toHaveLength(rows.length);
        rows.forEach((row, r) =>
          row.forEach((value: Cell, c) => {
            const text = back[r][c];
            const isText = typeof value === 'string';
            // A number is a number; a text that would be run has an apostrophe before it.
            if (isText && /^[=+\-@\t\r\n]/.test(value)) expect(text).toBe(`'${value}`);
            else expect(text).toBe(value === null ? '' : String(value));
          }),
        );
      },
    ),
    { numRuns: 300 },
  );
});

it('tables the judged notes of takes with their units, the same in CSV and JSON', () => {
  const context: TakeContext = {
    exercise: buildSwell({
      note: writtenMidi(67),
      shape: 'growFade',
      beats: 4,
      tempoBpm: 120,
      start: 'playToStart',
    }),
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    toleranceId: 'usual',
    roomFloorDb: null,
    beatZeroSeconds: null,
  };
  const { samples } = playExercise({
    ...context,
    profile: WARM_UP,
    sampleRateHz: 48000,
    seed: 3,
    leadSeconds: 0.6,
    tailSeconds: 0.5,
  });
  const take: TabledTake = {
    id: 'one',
    startedAt: Date.UTC(2026, 2, 14, 17, 30),
    day: '2026-03-14',
    clock: '18:30',
    hornId: 'alto',
    source: 'standIn',
    mouthpieceId: 'alto.first',
    reedKind: '=cane',
    lengthSeconds: samples.length / 48000,
    context,
    analysis: analyseTake(listenTo(samples, 48000), context, []),
    playerNote: '@all: "stiff"\nbut even',
  };
  const [header, row] = parsed(notesToCsv([take]));
  const cell = (name: string) => row[header.indexOf(name)];
  const measures = take.analysis?.items[0].measures as { centsMean: number; levelDb: number };
  expect(Number(cell('centsMean [cents]'))).toBeCloseTo(measures.centsMean, 2);
  expect(Number(cell('levelDb [dBFS]'))).toBeCloseTo(measures.levelDb, 2);
  expect([cell('day'), cell('clock'), cell('note'), cell('startedAt [UTC]')]).toEqual([
    '2026-03-14',
    '18:30',
    'G4',
    '2026-03-14T17:30:00.000Z',
  ]);
  expect([cell('reed'), cell('playerNote')]).toEqual(["'=cane", '\'@all: "stiff"\nbut even']);
  const document = JSON.parse(notesToJson([take])) as {
    units: Record<string, string>;
    notes: Record<string, Cell>[];
  };
  for (const [name, value] of Object.entries(document.notes[0])) {
    const unit = document.units[name];
    const text = cell(unit === undefined ? name : `${name} [${unit}]`).replace(/^'/, '');
    expect(text, name).toBe(value === null ? '' : String(value));
  }
  // A clean long hold says how long it held, and is as it was written all the same.
  const hold = structuredClone(take);
  const verdict = hold.analysis?.items[0].verdict;
  if (!verdict) throw new Error('no verdict');
  verdict.findings = [{ kind: 'held', seconds: 8, cause: 'completed' }];
  const [names, cells] = parsed(notesToCsv([hold]));
  expect(cells[names.indexOf('asWritten')]).toBe('true');
  expect(JSON.parse(notesToJson([hold]))).toMatchObject({ notes: [{ asWritten: true }] });
  verdict.findings.push({ kind: 'gap', lengthMs: 90, atSeconds: 2 });
  expect(JSON.parse(notesToJson([hold]))).toMatchObject({ notes: [{ asWritten: false }] });
  // What continues a table has no header of its own.
  expect(notesToCsv([take]) + notesToCsv([take], 'comma', false)).toBe(notesToCsv([take, take]));
  expect(parsed(takesToCsv([take]))[1].slice(-3)).toEqual([
    '1',
    String(take.analysis?.verdict.asWritten),
    '\'@all: "stiff"\nbut even',
  ]);
  const unknown = {
    days: 0,
    centsAtPp: null,
    centsAtMedium: null,
    centsAtFf: null,
    withinCents: null,
    responseMs: null,
    holdSeconds: null,
    noiseToHarmonicDb: null,
    centroidHarmonics: null,
  };
  expect(parsed(mapToCsv([{ ...unknown, writtenMidi: writtenMidi(70) }]))[1].slice(0, 4)).toEqual([
    'Bb4',
    '70',
    '0',
    '',
  ]);
});

it('reads JSON from outside only where it is no longer, deeper or other than it may be', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
      const text = JSON.stringify(value);
      if (/"(__proto__|constructor|prototype)":/.test(text)) expect(() => readJson(text)).toThrow(/JSON/);
      else expect(readJson(text)).toEqual(JSON.parse(text));
    }),
  );
  // What stands in a text nests nothing.
  expect(readJson(JSON.stringify({ a: '[[[[[["' }), { depth: 2 })).toEqual({ a: '[[[[[["' });
  for (const bad of [
    '{"a":',
    '[[[1]]]',
    `"${'x'.repeat(200)}"`,
    '{"__proto__":1}',
    '{"a":{"constructor":1}}',
    'NaN',
    '',
  ])
    expect(() => readJson(bad, { depth: 2, length: 100 }), bad).toThrow(/JSON/);
});

it('is read by a spreadsheet of either kind: its letters, cells and numbers, whatever stands in a text', () => {
  const note = {
    writtenMidi: writtenMidi(70),
    days: 3,
    centsAtPp: -12.5,
    centsAtMedium: 0,
    centsAtFf: 8.25,
    withinCents: 1.5,
    responseMs: 84,
    holdSeconds: null,
    noiseToHarmonicDb: -21.4,
    centroidHarmonics: 2.75,
  };
  for (const style of CSV_STYLES) {
    const csv = mapToCsv([note, note], style);
    expect(csv.startsWith(BYTE_ORDER_MARK)).toBe(true);
    expect(csv.lastIndexOf(BYTE_ORDER_MARK)).toBe(0);
    // The reader guesses what parts the cells, as a spreadsheet does.
    const { data, meta } = Papa.parse<string[]>(csv.trimEnd());
    expect(meta.delimiter).toBe(style === 'comma' ? ',' : ';');
    expect(new Set(data.map((row) => row.length))).toEqual(new Set([11]));
    const number = (text: string) => Number(style === 'comma' ? text : text.replace(',', '.'));
    expect(data[1].slice(3).map(number)).toEqual([-12.5, 0, 8.3, 1.5, 84, 0, -21.4, 2.75]);
  }
  expect(toCsv([[-0.5, '=1+1', 'a;b', 'a,b']], { style: 'semicolon' })).toBe(`-0,5;'=1+1;"a;b";a,b\r\n`);
  expect(toCsv([['größer', null, true]])).toBe('größer,,true\r\n');
});

it('is read by a reader that did not write it, as a spreadsheet of each country reads it: bytes, mark, cells and numbers', () => {
  const countries = { comma: ['en'], semicolon: ['de', 'it'] } as const;
  const text = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 12 }),
    fc.constantFrom('a;b', '1,5', '"', 'zwei\nZeilen'),
  );
  const number = fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e6, max: 1e6 });
  fc.assert(
    fc.property(
      fc.constantFrom(...CSV_STYLES),
      fc.array(fc.tuple(text, number), { minLength: 1, maxLength: 6 }),
      (style, rows) => {
        const file = Buffer.from(toCsv([['Wörter', 'Cent'], ...rows], { style, isFile: true }), 'utf8');
        const [head, ...back] = readCsv(file, { bom: true, delimiter: style === 'comma' ? ',' : ';' });
        expect(head).toEqual(['Wörter', 'Cent']);
        expect(back).toHaveLength(rows.length);
        for (const country of countries[style]) {
          const point = new Intl.NumberFormat(country).format(0.5)[1];
          for (const [r, [words, value]] of rows.entries()) {
            expect(back[r][0].replace(/^'(?=[=+\-@\t\r\n])/, '')).toBe(words);
            expect(Number(back[r][1].replace(point, '.'))).toBe(value + 0);
          }
        }
      },
    ),
    { numRuns: 300 },
  );
});
