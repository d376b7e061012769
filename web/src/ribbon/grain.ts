import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import { INK, type InkTrack } from './inkTrack.ts';
import type { RibbonLayout } from './layout.ts';
import type { RibbonPalette } from './palette.ts';

const CELL_FRAMES = 6;
const LANES = 11;
const LONGEST_CELLS = 6;

/** A number in [0, 1) that is always the same for a cell: the grain must not crawl when it is drawn again. */
function cellNoise(cell: number, lane: number, salt: number): number {
  let h = Math.imul(cell + 1, 0x9e3779b1) ^ Math.imul(lane + 7, 0x85ebca6b) ^ Math.imul(salt + 3, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39);
  return ((h ^ (h >>> 15)) >>> 0) / 4294967296;
}

/** Opens the ink into fine streaks along the ribbon where the tone is airy. */
export function paintGrain(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  from: number,
  to: number,
  layout: RibbonLayout,
  palette: RibbonPalette,
): void {
  const small = layout.spinePx < 3;
  ctx.strokeStyle = palette.paper;
  ctx.lineWidth = small ? 0.6 : 1.3;
  ctx.globalAlpha = 0.9;
  ctx.lineCap = 'round';
  ctx.beginPath();
  const firstCell = Math.max(0, Math.floor(from / CELL_FRAMES) - LONGEST_CELLS - 2);
  const lastCell = Math.floor((to - 1) / CELL_FRAMES);
  for (let cell = firstCell; cell <= lastCell; cell++) {
    const start = cell * CELL_FRAMES;
    for (let lane = 0; lane < (small ? 4 : LANES); lane++) {
      const breath = ink.kind[start] === INK ? ink.breath[start] : 0;
      if (cellNoise(cell, lane, 0) > breath * 0.75) continue;
      const end = start + CELL_FRAMES * (1 + Math.floor(cellNoise(cell, lane, 1) * LONGEST_CELLS));
      const across = 0.92 * (2 * ((lane + cellNoise(cell, lane, 2)) / (small ? 4 : LANES)) - 1);
      for (let i = start; i <= end && i < ink.count && ink.kind[i] === INK; i += 2) {
        const x = layout.xAt(i * FRAME_SECONDS);
        const y =
          layout.yAt(ink.calm(ink.cents, i)) +
          layout.dropAt(ink.bend[i]) +
          across * layout.halfAt(ink.calm(ink.loudness, i));
        if (i === start) ctx.moveTo(x, y);
        else ctx.lineTo(x, y);
      }
    }
  }
  ctx.stroke();
  ctx.globalAlpha = 1;
}
