import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { LABEL_FONT, type RibbonLayout, type RibbonPalette } from '../../ribbon/index.ts';
import { decimals } from '../../words/index.ts';

/** Brackets over the stairs, and seconds along the foot. */
export function paintTakeMarks(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  analysis: TakeAnalysis,
  t: TFunction,
): void {
  ctx.save();
  ctx.font = LABEL_FONT;
  ctx.fillStyle = palette.ink;
  ctx.strokeStyle = palette.ink;
  ctx.lineWidth = 1.5;
  let labelEnd = -Infinity;
  for (const event of analysis.events) {
    if (event.type !== 'stair') continue;
    const left = layout.xAt(event.timeSeconds);
    const right = layout.xAt(event.timeSeconds + event.lengthSeconds);
    const text = t('event.stair', {
      seconds: decimals(event.lengthSeconds, 1),
      db: decimals(event.stepDb, 1),
    });
    const width = ctx.measureText(text).width;
    // A label that would run into its neighbour or off the page is left to the list below.
    const start = Math.max(0, Math.min(left, layout.width - width));
    ctx.beginPath();
    ctx.moveTo(left, 40);
    ctx.lineTo(left, 28);
    ctx.lineTo(right, 28);
    ctx.lineTo(right, 40);
    ctx.stroke();
    if (start < labelEnd + 12) continue;
    ctx.fillText(text, start, 18);
    labelEnd = start + width;
  }
  ctx.restore();
}
