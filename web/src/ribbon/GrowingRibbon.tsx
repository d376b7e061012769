import type { FrameTrack } from '@inner-hum/core/hearing';
import { useEffect, useRef } from 'react';
import { everyFrame } from './everyFrame.ts';
import { fitCanvas } from './fitCanvas.ts';
import { LABEL_FONT } from './fonts.ts';
import { InkTrack, type InkSetting } from './inkTrack.ts';
import { createLayout } from './layout.ts';
import { paintInk, paintStrayLabels, strayStarts } from './paintInk.ts';
import { LABEL_ROOM_PX, paintOutlineAhead, paintRules, type RuleLabels } from './paintScore.ts';
import { useElementSize } from './useElementSize.ts';
import { useRibbonPalette } from './useRibbonPalette.ts';

interface GrowingRibbonProps {
  /** Frames that are drawn as the sound reaches them; null draws only what is written. */
  track: FrameTrack | null;
  setting: InkSetting;
  lengthSeconds: number;
  /** Where the sound is; what lies before it is inked. */
  positionSeconds(): number;
  height: number;
  label: string;
  ruleLabels: Omit<RuleLabels, 'font'> | null;
  strayLabel(partial: number): string;
}

const MARGIN_SECONDS = 0.15;

/** A ribbon that grows while its sound is heard, into the outline of what is written. */
export function GrowingRibbon(props: GrowingRibbonProps) {
  const { track, setting, lengthSeconds, positionSeconds, height, label, ruleLabels, strayLabel } = props;
  const palette = useRibbonPalette();
  const [frame, { width }] = useElementSize();
  const under = useRef<HTMLCanvasElement>(null);
  const over = useRef<HTMLCanvasElement>(null);

  useEffect(() => {
    if (!under.current || !over.current || width === 0) return undefined;
    const back = fitCanvas(under.current, width, height);
    const front = fitCanvas(over.current, width, height);
    const layout = createLayout({
      width,
      height,
      left: 4,
      right: width - (ruleLabels ? LABEL_ROOM_PX : 8),
      fromSeconds: -MARGIN_SECONDS,
      toSeconds: lengthSeconds + MARGIN_SECONDS,
    });
    const ink = new InkTrack(setting);
    const paint = () => {
      const from = ink.count;
      if (track) ink.follow(track, Math.min(track.count, Math.floor(100 * positionSeconds())));
      if (ink.count === from && from > 0) return;
      // Strips leave small seams; what stands still is painted whole.
      const isWhole = ink.count > from && ink.count === track?.count;
      if (isWhole) front.clearRect(0, 0, width, height);
      if (ink.count > from) paintInk(front, ink, isWhole ? 0 : from, ink.count, layout, palette);
      back.clearRect(0, 0, width, height);
      paintRules(back, layout, palette, ruleLabels && { ...ruleLabels, font: LABEL_FONT });
      paintStrayLabels(back, ink, strayStarts(ink), layout, palette, strayLabel, LABEL_FONT);
      paintOutlineAhead(
        back,
        layout,
        palette,
        ink.count / 100,
        [{ fromSeconds: 0, toSeconds: lengthSeconds }],
        setting.wantedAt,
      );
    };
    return everyFrame(paint);
  }, [track, setting, lengthSeconds, positionSeconds, height, ruleLabels, strayLabel, width, palette]);

  return (
    <div ref={frame} role="img" aria-label={label} className="ribbon-frame" style={{ height }}>
      <canvas ref={under} className="ribbon-canvas ribbon-layer" />
      <canvas ref={over} className="ribbon-canvas ribbon-layer" />
    </div>
  );
}
