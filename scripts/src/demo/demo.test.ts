import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { unpackDemo } from '@inner-hum/core/formats';
import { expect, it } from 'vitest';
import { playTake } from './playTake.ts';

const FILE = join(import.meta.dirname, '../../../web/public/demo/twelve-weeks.zip');

it('shows figures that the analysis of today finds in the sound of the demo, whichever take is asked', () => {
  const { takes } = unpackDemo(readFileSync(FILE));
  expect(takes.length).toBeGreaterThan(300);
  const seed = Number(process.env.SEED ?? Date.now() % 1e6);
  console.info(`demo takes: SEED=${seed}`);
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
    expect(again.analysis?.measures.centsMean ?? 0).toBeCloseTo(take.analysis?.measures.centsMean ?? 0, 2);
    expect(again.frames.f0Hz.length).toBe(take.frames.f0Hz.length);
  }
}, 60_000);
