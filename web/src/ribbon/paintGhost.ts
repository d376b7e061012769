import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import { INK, type InkTrack } from './inkTrack.ts';
import { inkY } from './paintInk.ts';
import type { RibbonLayout } from './layout.ts';
import type { RibbonPalette } from './palette.ts';

/** Spacing of the drawn points: closer than the eye resolves. */
const EVERY_FRAMES = 2;

/**
 * Another ribbon laid over this one, as bare outline: two edges and a dashed spine, on a paper rim so that they are
 * seen on ink and paper alike. `atSeconds` says where a moment of its own clock stands on this one's.
 */
export function paintGhost(
  ctx: CanvasRenderingContext2D,
  ghost: InkTrack,
  layout: RibbonLayout,
  palette: RibbonPalette,
  atSeconds: (seconds: number) => number,
): void {
  const lineOf = (side: number) => {
    const path = new Path2D();
    let open = false;
    for (let i = 0; i < ghost.count; i += EVERY_FRAMES) {
      if (ghost.kind[i] !== INK) {
        open = false;
        continue;
      }
      const x = layout.xAt(atSeconds(i * FRAME_SECONDS));
      const half = side === 0 ? 0 : layout.halfAt(ghost.calm(ghost.loudness, i));
      const y = inkY(ghost, layout, i) + side * half;
      if (open) path.lineTo(x, y);
      else path.moveTo(x, y);
      open = true;
    }
    return path;
  };
  ctx.save();
  ctx.lineJoin = 'round';
  for (const [side, dash] of [
    [-1, []],
    [1, []],
    [0, [7, 5]],
  ] as const) {
    const path = lineOf(side);
    ctx.setLineDash([]);
    ctx.strokeStyle = palette.paper;
    ctx.lineWidth = 4.5;
    ctx.stroke(path);
    ctx.setLineDash([...dash]);
    // Brass is what was written: what was played at another time is grey.
    ctx.strokeStyle = palette.muted;
    ctx.lineWidth = 2;
    ctx.stroke(path);
  }
  ctx.restore();
}
