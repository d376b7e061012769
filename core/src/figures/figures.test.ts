import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { COLUMN_FIGURES, figureRow, FIGURES, KEPT_FIGURES, UNITS, type FigureId } from './index.ts';

const ids = Object.keys(FIGURES) as FigureId[];

it('keeps the rows of trends in the order in which they are stored', () => {
  // What was written with version 11 of the database; new figures come after these.
  expect(KEPT_FIGURES.slice(0, 21)).toEqual([
    ...[
      'centsMean',
      'centsSpread',
      'driftCentsPerSecond',
      'softEndCents',
      'loudEndCents',
      'pitchSlopeCentsPer10Db',
    ],
    ...['levelSpreadDb', 'dynamicSpanDb', 'swellErrorDb', 'responseMs', 'onsetOffsetMs', 'landingCents'],
    ...[
      'slurMs',
      'holdSeconds',
      'noiseToHarmonicDb',
      'centroidHarmonics',
      'matchDb',
      'subtoneAirierDb',
      'bendRangeCents',
    ],
    ...['vibratoHz', 'humCents'],
  ]);
  expect(KEPT_FIGURES.map((id) => figureRow(id).kept)).toEqual(KEPT_FIGURES.map((_, place) => place));
});

it('has an aim for whatever is kept, and keeps whatever has an aim', () => {
  for (const id of ids) {
    const { goal, kept, skill } = figureRow(id);
    expect(goal === null, id).toBe(kept === null && id !== 'asWrittenPercent');
    if (skill) expect(goal, id).not.toBeNull();
  }
});

it('has the unit of each figure in its name', () => {
  const endings: Partial<Record<keyof typeof UNITS, RegExp>> = {
    percent: /Percent$/,
    cents: /Cents$|^cents/,
    centsPerSecond: /CentsPerSecond$/,
    dbfs: /Db$/,
    db: /Db$/,
    dbPerSecond: /DbPerSecond$/,
    ms: /Ms$/,
    seconds: /Seconds$/,
    beats: /Beats$/,
    hz: /Hz$/,
  };
  for (const id of ids) expect(id).toMatch(endings[figureRow(id).unit] ?? /./);
});

it('is described in the format of files', () => {
  const formats = readFileSync(join(import.meta.dirname, '../../../docs/formats.md'), 'utf8');
  // As the share of several notes and as `subtone` they stand there by other names.
  const others: FigureId[] = ['asWrittenPercent', 'subtoneAirierDb'];
  expect(ids.filter((id) => !others.includes(id) && !formats.includes(`\`${id}\``))).toEqual([]);
  expect(COLUMN_FIGURES.length).toBeGreaterThan(30);
});
