import type { RibbonLayout } from './layout.ts';
import type { RibbonPalette } from './palette.ts';

const RULES_CENTS = [40, 20, -20, -40];

/** Right of the ribbon there is so much room for them: "40 crescente" is the longest. */
export const LABEL_ROOM_PX = 100;

export interface RuleLabels {
  /** "40 sharp" and "40 flat": word the outermost two. */
  sharp: string;
  flat: string;
  font: string;
}

const secondsAt = (layout: RibbonLayout, x: number) =>
  layout.fromSeconds + (x - layout.left) / layout.pxPerSecond;

/** The rule, and dotted lines every 20 cents with their meaning at the right edge. */
export function paintRules(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  labels: RuleLabels | null,
  bendAt: ((seconds: number) => number) | null = null,
): void {
  ctx.save();
  ctx.strokeStyle = palette.line;
  ctx.lineWidth = 1.5;
  ctx.setLineDash([2, 5]);
  for (const cents of RULES_CENTS) {
    const y = layout.yAt(cents);
    ctx.beginPath();
    ctx.moveTo(layout.left, y);
    ctx.lineTo(layout.right, y);
    ctx.stroke();
  }
  ctx.setLineDash([]);
  ctx.strokeStyle = palette.brass;
  ctx.globalAlpha = 0.7;
  ctx.beginPath();
  for (let x = layout.left; x <= layout.right; x += bendAt ? 3 : layout.right - layout.left)
    ctx.lineTo(x, layout.ruleY + layout.dropAt(bendAt?.(secondsAt(layout, x)) ?? 0));
  ctx.stroke();
  ctx.globalAlpha = 1;
  if (labels) {
    ctx.font = labels.font;
    ctx.fillStyle = palette.muted;
    ctx.textBaseline = 'middle';
    for (const cents of RULES_CENTS) {
      const word = Math.abs(cents) === 40 ? ` ${cents > 0 ? labels.sharp : labels.flat}` : '';
      ctx.fillText(`${Math.abs(cents)}${word}`, layout.right + 10, layout.yAt(cents));
    }
  }
  ctx.restore();
}

/** A stretch of the score that sounds without a rest. */
export interface OutlineStretch {
  fromSeconds: number;
  toSeconds: number;
}

/**
 * The written hairpins around the rule, from `fromSeconds` on: shapes to be filled, one a stretch between two rests.
 * `wantedAt` gives the written loudness (0-1) by seconds since the first beat.
 */
export function paintOutlineAhead(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  fromSeconds: number,
  stretches: readonly OutlineStretch[],
  wantedAt: (seconds: number) => number | null,
  bendAt: ((seconds: number) => number) | null = null,
): void {
  for (const stretch of stretches)
    paintStretch(
      ctx,
      layout,
      palette,
      Math.max(fromSeconds, stretch.fromSeconds),
      stretch.toSeconds,
      wantedAt,
      bendAt,
    );
}

/** Notes that follow without a rest as one stretch each. */
export function outlineStretches(notes: readonly OutlineStretch[]): OutlineStretch[] {
  const stretches: OutlineStretch[] = [];
  for (const { fromSeconds, toSeconds } of notes) {
    const last = stretches.at(-1);
    if (last && Math.abs(last.toSeconds - fromSeconds) < 1e-6) last.toSeconds = toSeconds;
    else stretches.push({ fromSeconds, toSeconds });
  }
  return stretches;
}

function paintStretch(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  fromSeconds: number,
  toSeconds: number,
  wantedAt: (seconds: number) => number | null,
  bendAt: ((seconds: number) => number) | null,
): void {
  const left = Math.max(layout.left, layout.xAt(fromSeconds));
  const right = Math.min(layout.right, layout.xAt(toSeconds));
  if (right - left < 1) return;
  const points = 80;
  // At its very end the next item is written already.
  const last = toSeconds - 1e-6;
  const at = (i: number) => {
    const x = left + ((right - left) * i) / points;
    const seconds = secondsAt(layout, x);
    return {
      x,
      y: layout.ruleY + layout.dropAt(bendAt?.(seconds) ?? 0),
      half: layout.halfAt(wantedAt(Math.max(fromSeconds, Math.min(seconds, last))) ?? 0) + 2,
    };
  };
  const corners = Array.from({ length: points + 1 }, (_, i) => at(i));
  ctx.beginPath();
  for (const { x, y, half } of corners) ctx.lineTo(x, y - half);
  for (const { x, y, half } of corners.toReversed()) ctx.lineTo(x, y + half);
  ctx.closePath();
  ctx.fillStyle = palette.cane;
  ctx.fill();
  ctx.strokeStyle = palette.brass;
  ctx.lineWidth = 2.2;
  ctx.lineJoin = 'round';
  ctx.stroke();
}

/** Heights of the streaks of bare air, as shares of the height. */
const AIR_LINES = [-0.16, -0.08, 0, 0.08, 0.16];

/** Bare air: streaks without ink, as the grain of a tone that is all breath. */
export function paintAir(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  stretches: readonly OutlineStretch[],
): void {
  ctx.save();
  ctx.strokeStyle = palette.brass;
  ctx.lineWidth = 1;
  for (const { fromSeconds, toSeconds } of stretches)
    AIR_LINES.forEach((share, i) => {
      ctx.setLineDash(i % 2 === 0 ? [9, 4] : [5, 6]);
      ctx.beginPath();
      ctx.moveTo(layout.xAt(fromSeconds), layout.ruleY + share * layout.height);
      ctx.lineTo(layout.xAt(toSeconds), layout.ruleY + share * layout.height);
      ctx.stroke();
    });
  ctx.restore();
}

const MARK_GAP_PX = 6;

/** Dynamic marks under the score, each at its time. */
export function paintMarks(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  marks: readonly { seconds: number; mark: string }[],
  baselineY: number,
  font: string,
): void {
  ctx.save();
  ctx.font = font;
  ctx.fillStyle = palette.ink;
  ctx.textBaseline = 'alphabetic';
  // From the last one on: where two would touch, the earlier one gives way.
  let free = Infinity;
  for (const [i, { seconds, mark }] of [...marks.entries()].toReversed()) {
    const { width } = ctx.measureText(mark);
    const align = i === 0 ? 0 : i === marks.length - 1 ? 1 : 0.5;
    const left = layout.xAt(seconds) - align * width;
    if (left + width > free) continue;
    ctx.fillText(mark, left, baselineY);
    free = left - MARK_GAP_PX;
  }
  ctx.restore();
}

const NAME_GAP_PX = 6;

/** Whether each of some words, in order, ends before the next one begins; in pixels. The last has all the room there is. */
export const fitBeforeNext = (words: readonly { x: number; width: number }[]): boolean[] =>
  words.map(({ x, width }, i) => x + width <= (words.at(i + 1)?.x ?? Infinity));

/** Where each note of a line begins: a thin mark across the rule, and its name on top, where it has room before the next one. */
export function paintNames(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  names: readonly { seconds: number; name: string; isNow: boolean }[],
  font: string,
): void {
  ctx.save();
  ctx.font = font;
  ctx.textBaseline = 'top';
  const fits = fitBeforeNext(
    names.map(({ seconds, name }) => ({
      x: layout.xAt(seconds) + NAME_GAP_PX,
      width: ctx.measureText(name).width,
    })),
  );
  for (const [i, { seconds, name, isNow }] of names.entries()) {
    const x = layout.xAt(seconds);
    ctx.strokeStyle = palette.line;
    ctx.lineWidth = 1.5;
    ctx.beginPath();
    ctx.moveTo(x, 0);
    ctx.lineTo(x, layout.height);
    ctx.stroke();
    ctx.fillStyle = isNow ? palette.ink : palette.muted;
    if (fits[i]) ctx.fillText(name, x + NAME_GAP_PX, 2);
  }
  ctx.restore();
}
