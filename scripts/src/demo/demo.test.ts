import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { unpackDemo } from '@inner-hum/core/formats';
import { expect, it } from 'vitest';
import { playTake } from './playTake.ts';

const FILE = join(import.meta.dirname, '../../../web/public/demo/twelve-weeks.zip');

it('shows figures that the analysis of today finds in the sound of the demo, whichever take is asked', () => {
  const { takes } = unpackDemo(readFileSync(FILE));
  expect(takes.length).toBeGreaterThan(300);
  const seed = Number(process.env.SEED ?? 1);
  for (let i = 0; i < 5; i++) {
    const take = takes[(seed + 83 * i) % takes.length];
    const { played, context } = take;
    const again = playTake({
      ...take,
      exercise: context.exercise,
      hornId: context.hornId,
      gear: take,
      ...played,
      roundId: take.roundId ?? '',
    });
    expect(again.analysis?.verdict.findings.map(({ kind }) => kind)).toEqual(
      take.analysis?.verdict.findings.map(({ kind }) => kind),
    );
    expect(again.analysis?.verdict.asWritten).toBe(take.analysis?.verdict.asWritten);
    // What the simulated player was told is kept in five digits, so its sound is the same but for what nobody hears.
    const centsMean = (of: typeof take) => of.analysis?.measures.centsMean ?? 0;
    expect(Math.abs(centsMean(again) - centsMean(take))).toBeLessThan(0.1);
    expect(again.frames.f0Hz.length).toBe(take.frames.f0Hz.length);
  }
});
