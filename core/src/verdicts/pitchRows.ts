import type { FindingKind } from '../judge/index.ts';
import type { ItemFault } from '../simulated/index.ts';
import { noteItems, drillOf, onEvery, FOUR, type VerdictRow } from './verdictTable.ts';

/** Pitch: of short notes, of lines, of steady tones. */
export function pitchRows(): VerdictRow[] {
  const rows: VerdictRow[] = [];
  const flat45 = (item: number): ItemFault => ({ item, kind: 'off', cents: -45, levelDb: 0 });
  for (const hornId of FOUR) {
    const eighths = drillOf('fullScales', hornId, 1, { tempoBpm: 240 });
    rows.push({
      ...eighths,
      played: 'eighths at 120, 45 cents flat',
      faults: onEvery(eighths, flat45),
      wanted: Object.fromEntries(
        noteItems(eighths)
          .slice(2, -2)
          .map((item) => [item, ['pitch']]),
      ),
    });
  }
  const scale = drillOf('fullScales', 'alto', 0);
  const third = noteItems(scale)[5];
  const one = (fault: ItemFault, kinds: readonly FindingKind[], played: string): VerdictRow => ({
    ...scale,
    played,
    faults: [fault],
    wanted: { [fault.item]: kinds },
  });
  rows.push(
    one({ item: third, kind: 'off', cents: 0, levelDb: -7 }, ['step', 'place'], 'one note 7 dB softer'),
    one({ item: third, kind: 'off', cents: 30, levelDb: 0 }, ['pitch'], 'one note 30 cents sharp'),
    {
      ...one({ item: third, kind: 'parted', gapMs: 120 }, ['slurGap', 'gap'], 'a hole before one note'),
      never: ['short'],
    },
    {
      ...drillOf('fullScales', 'tenor', 0, { tempoBpm: 90 }),
      played: 'a hole before one note, at 90',
      faults: [{ item: 3, kind: 'parted', gapMs: 120 }],
      wanted: { 3: ['slurGap', 'gap'] },
      never: ['short'],
    },
    one({ item: third, kind: 'slowSlur', glideMs: 260, overshootCents: 0 }, ['slowSlur'], 'one note slid in'),
    one({ item: third, kind: 'wrongNote', semitones: 1 }, ['wrongNote'], 'one wrong note'),
    {
      ...drillOf('chromaticTones', 'alto', 4),
      played: 'sinks by 24 cents to its end',
      profile: { swerve: { atSeconds: 2, overSeconds: 6, cents: -30, levelDb: 0, breathDb: 0 } },
      wanted: { 0: ['drift', 'pitch', 'wander'] },
    },
    {
      ...drillOf('chromaticTones', 'tenor', 6),
      played: 'with a vibrato of 15 cents',
      profile: { vibrato: { rateHz: 5.2, widthCents: 15 } },
      wanted: 'passes',
      never: ['wander'],
    },
    {
      ...drillOf('longHold', 'baritone', 0, { beats: 12 }),
      played: 'with a vibrato of 14 cents',
      profile: { vibrato: { rateHz: 5, widthCents: 14 } },
      wanted: 'passes',
      never: ['wander'],
    },
    {
      ...drillOf('vibratoTones', 'alto', 0, { beats: 6 }),
      played: 'no vibrato anywhere',
      faults: [1, 2].map((item) => ({ item, kind: 'vibrato', rateHz: 0, widthCents: 0 })),
      wanted: { 1: ['vibratoMissing'], 2: ['vibratoMissing'] },
    },
    {
      ...drillOf('intervalTones', 'tenor', 4),
      played: 'the interval lands 28 cents sharp',
      faults: [{ item: 2, kind: 'off', cents: 28, levelDb: 0 }],
      wanted: { 2: ['pitch', 'landing'] },
    },
    {
      ...drillOf('vowelSweep', 'alto'),
      played: 'one vowel all through',
      faults: [{ item: 0, kind: 'oneColour' }],
      wanted: { 0: ['colourStill'] },
    },
    {
      ...drillOf('mouthpieceAlone', 'tenor', 1),
      played: 'bent half of the way',
      faults: [{ item: 0, kind: 'shallowBend', share: 0.5 }],
      wanted: { 0: ['bendShort'] },
    },
  );
  return rows;
}
