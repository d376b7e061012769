import { useEffect, useRef } from 'react';
import type { InkTrack } from './inkTrack.ts';
import { createLayout, type LayoutRequest, type RibbonLayout } from './layout.ts';
import { LABEL_FONT } from './fonts.ts';
import { paintInk, paintStrayLabels, strayStarts } from './paintInk.ts';
import type { RibbonPalette } from './palette.ts';
import { fitCanvas } from './fitCanvas.ts';
import { useRibbonPalette } from './useRibbonPalette.ts';
import { useElementSize } from './useElementSize.ts';

export interface RibbonPictureProps {
  ink: InkTrack;
  fromSeconds: number;
  toSeconds: number;
  height: number;
  label: string;
  strayLabel?: (partial: number) => string;
  small?: boolean;
  /** Room left and right of the time window. */
  marginLeft?: number;
  marginRight?: number;
  /** Drawn under and over the ink. */
  paintUnder?: (ctx: CanvasRenderingContext2D, layout: RibbonLayout, palette: RibbonPalette) => void;
  paintOver?: (ctx: CanvasRenderingContext2D, layout: RibbonLayout, palette: RibbonPalette) => void;
  onLayout?: (layout: RibbonLayout) => void;
}

/** A finished ribbon: in review, in lists, in print. */
export function RibbonPicture(props: RibbonPictureProps) {
  const { ink, height, label, small = false, fromSeconds, toSeconds, onLayout } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const palette = useRibbonPalette();
  const [frame, { width }] = useElementSize();
  const { marginLeft = 0, marginRight = 0, strayLabel, paintUnder, paintOver } = props;

  useEffect(() => {
    if (!canvas.current || width === 0) return;
    const ctx = fitCanvas(canvas.current, width, height);
    const request: LayoutRequest = {
      width,
      height,
      left: marginLeft,
      right: width - marginRight,
      fromSeconds,
      toSeconds,
      small,
    };
    const layout = createLayout(request);
    onLayout?.(layout);
    ctx.clearRect(0, 0, width, height);
    paintInk(ctx, ink, 0, ink.count, layout, palette);
    if (paintUnder) {
      // The ink clears its strip, so what lies under it comes after.
      ctx.globalCompositeOperation = 'destination-over';
      paintUnder(ctx, layout, palette);
      ctx.globalCompositeOperation = 'source-over';
    }
    if (strayLabel) paintStrayLabels(ctx, ink, strayStarts(ink), layout, palette, strayLabel, LABEL_FONT);
    paintOver?.(ctx, layout, palette);
  }, [
    width,
    palette,
    ink,
    height,
    fromSeconds,
    toSeconds,
    small,
    marginLeft,
    marginRight,
    strayLabel,
    paintUnder,
    paintOver,
    onLayout,
  ]);

  return (
    <div ref={frame} role="img" aria-label={label} className="ribbon-frame">
      <canvas ref={canvas} className="ribbon-canvas" />
    </div>
  );
}
