import { expect, it } from 'vitest';
import { hornById, writtenMidi } from '../horn/index.ts';
import { KEPT_FIGURES } from '../figures/index.ts';
import type { PractisedNote } from '../practice/index.ts';
import { hearingProposal, hearings } from './hearing.ts';

/** A note of a hearing: what was written, what was fingered, and how it came. */
function heard(
  written: number,
  {
    fingered = written,
    day = '2026-11-30',
    at = 0,
    cents = 4,
    spread = 5,
    loudness = [null, null] as [number | null, number | null],
    seconds = 4,
  } = {},
): PractisedNote {
  const figures = {
    centsMean: seconds > 0 ? cents : null,
    centsSpread: spread,
    softestDb: loudness[0],
    dynamicSpanDb: loudness[1],
  };
  return {
    family: 'firstHearing',
    writtenMidi: writtenMidi(written),
    fingeredMidi: writtenMidi(fingered),
    day,
    at,
    seconds,
    asWritten: true,
    figures: KEPT_FIGURES.map((name) => figures[name as keyof typeof figures] ?? null),
  };
}
const alto = hornById('alto');
const all = [71, 60, 59, 58, 74, 81, 84, 86, 88, 89].map((midi, at) => heard(midi, { at }));

it('tells the range that spoke, how far soft and loud are apart, how steady the easy note was, and which overtones came', () => {
  const [hearing] = hearings([
    ...all,
    heard(71, { at: 20, loudness: [-42, 21] }),
    heard(74, { at: 20, loudness: [-30, 3] }),
    heard(70, { fingered: 58, at: 21 }),
    heard(77, { fingered: 58, at: 22, cents: -1900 }),
  ]);
  expect(hearing).toEqual({
    day: '2026-11-30',
    lowest: 58,
    highest: 89,
    loudness: { softDb: -42, loudDb: -21 },
    spreadCents: 5,
    overtones: [12],
  });
});

it('leaves out what did not sound or came as another note', () => {
  const [hearing] = hearings([heard(71), heard(60), heard(59, { seconds: 0 }), heard(58, { cents: 1205 })]);
  expect([hearing.lowest, hearing.highest]).toEqual([60, 71]);
  expect(hearings([heard(71, { seconds: 0 })])).toEqual([]);
  expect(hearings([{ ...heard(71), family: 'longHold' }])).toEqual([]);
});

it('keeps one a day, the newest first, so that months can be compared', () => {
  const list = hearings([heard(71, { day: '2026-10-01' }), heard(71), heard(60)]);
  expect(list.map(({ day, lowest }) => [day, lowest])).toEqual([
    ['2026-11-30', 60],
    ['2026-10-01', 71],
  ]);
});

it.each<[string, PractisedNote[], ReturnType<typeof hearingProposal>]>([
  [
    'everything and the twelfth',
    [...all, heard(77, { fingered: 58 })],
    { experience: 'advanced', toleranceId: 'usual', range: null, scale: null },
  ],
  [
    'everything but overtones',
    all,
    { experience: 'someYears', toleranceId: 'usual', range: null, scale: null },
  ],
  [
    'the middle of the horn',
    [heard(71), heard(62), heard(81)],
    {
      experience: 'firstYear',
      toleranceId: 'relaxed',
      range: { lowest: writtenMidi(62), highest: writtenMidi(81) },
      scale: null,
    },
  ],
  [
    'low C to high C with an unsteady easy note',
    [heard(71, { spread: 14 }), heard(60, { at: 1 }), heard(84, { at: 2 })],
    {
      experience: 'someYears',
      toleranceId: 'relaxed',
      range: { lowest: writtenMidi(60), highest: writtenMidi(84) },
      scale: null,
    },
  ],
])('of %s proposes %j', (_, notes, proposal) => {
  expect(hearingProposal(hearings(notes)[0], alto)).toEqual(proposal);
});

it('takes the softest and the loudest of the hearing for the ends of the scale, if both were played', () => {
  const scaleOf = (softDb: number, spanDb: number) =>
    hearingProposal(hearings([heard(71, { loudness: [softDb, spanDb] })])[0], alto).scale;
  expect(scaleOf(-44, 26)).toEqual({ floorDb: -44, ceilingDb: -18, source: 'calibrated' });
  expect(scaleOf(-44, 8)).toEqual({ floorDb: -44, ceilingDb: -36, source: 'calibrated' });
  expect(scaleOf(-44, 7.9)).toBeNull();
});
