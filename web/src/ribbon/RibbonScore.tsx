import {
  bendBySeconds,
  scoreOf,
  secondsPerBeat,
  wantedBySeconds,
  writtenNotes,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { useEffect, useRef } from 'react';
import { fitCanvas } from './fitCanvas.ts';
import { outlineStretches, paintAir, paintOutlineAhead } from './paintScore.ts';
import { scoreLayout } from './scoreLayout.ts';
import { useElementSize } from './useElementSize.ts';
import { useRibbonPalette } from './useRibbonPalette.ts';

interface RibbonScoreProps {
  /** One phrase. */
  exercise: Exercise;
  hornId: HornId;
  height: number;
  label: string;
}

const A4_HZ = 440;

/** What is written, in the language of the ribbon: the shape that is to be filled, without anything played. */
export function RibbonScore({ exercise, hornId, height, label }: RibbonScoreProps) {
  const palette = useRibbonPalette();
  const [frame, { width }] = useElementSize();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (!canvas.current || width === 0) return;
    const ctx = fitCanvas(canvas.current, width, height);
    ctx.clearRect(0, 0, width, height);
    const layout = scoreLayout(exercise, width, height);
    ctx.strokeStyle = palette.line;
    ctx.lineWidth = 1;
    ctx.strokeRect(0, layout.ruleY, width, 0);
    const beat = secondsPerBeat(exercise);
    const air = scoreOf(exercise)
      .filter(({ item }) => item.kind === 'air')
      .map(({ startBeat, endBeat }) => ({ fromSeconds: startBeat * beat, toSeconds: endBeat * beat }));
    paintAir(ctx, layout, palette, air);
    const stretches = outlineStretches(writtenNotes(exercise, hornId, A4_HZ));
    const wantedAt = wantedBySeconds(exercise);
    paintOutlineAhead(ctx, layout, palette, 0, stretches, wantedAt, bendBySeconds(exercise));
  }, [exercise, hornId, height, width, palette]);
  return (
    <div ref={frame} role="img" aria-label={label} className="ribbon-frame">
      <canvas ref={canvas} className="ribbon-canvas" />
    </div>
  );
}
