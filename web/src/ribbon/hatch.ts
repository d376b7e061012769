import type { RibbonLayout } from './layout.ts';
import { DEVIATION_STEPS, type RibbonPalette } from './palette.ts';

/** Run of a hatch line to the side for each pixel down. */
const LEAN = 0.55;

/**
 * Hatches a run of ink: / for sharp, \ for flat. The lines lie on one fixed lattice, so that neighbouring runs
 * and later strips continue them; they grow stronger with the deviation.
 */
export function paintHatch(
  ctx: CanvasRenderingContext2D,
  shape: Path2D,
  left: number,
  right: number,
  side: number,
  step: number,
  layout: RibbonLayout,
  palette: RibbonPalette,
): void {
  const small = layout.spinePx < 3;
  const spacing = small ? 5 : 15;
  const strength = step / DEVIATION_STEPS;
  ctx.save();
  ctx.clip(shape);
  ctx.strokeStyle = palette.paper;
  ctx.globalAlpha = 0.06 + 0.72 * strength;
  ctx.lineWidth = small ? 0.8 : 1.2 + 1.6 * strength;
  ctx.beginPath();
  const reach = layout.height * LEAN;
  // The lattice belongs to time, not to the canvas: a scrolling ribbon carries its hatch along.
  const origin = -((layout.fromSeconds * layout.pxPerSecond) % spacing);
  const first = Math.floor((left - reach - origin) / spacing) * spacing + origin;
  for (let x = first; x < right + reach; x += spacing) {
    // x is where the line crosses the middle of the drawing
    ctx.moveTo(x + (side * reach) / 2, 0);
    ctx.lineTo(x - (side * reach) / 2, layout.height);
  }
  ctx.stroke();
  ctx.restore();
}
