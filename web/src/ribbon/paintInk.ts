import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import { deviationStep } from './deviation.ts';
import { paintGrain } from './grain.ts';
import { paintHatch } from './hatch.ts';
import { CALM_FRAMES, INK, NO_INK, STRAY, type InkTrack } from './inkTrack.ts';
import type { RibbonLayout } from './layout.ts';
import type { RibbonPalette } from './palette.ts';

/** Stray ink hangs this far from the rule, as a share of the height. */
const STRAY_LIFT = 0.3;
/** and is this much of its loudness thick. */
const STRAY_HALF = 0.5;

/** A stretch of frames drawn in one manner. `to` is included. */
interface Run {
  from: number;
  to: number;
  kind: number;
  step: number;
  side: number;
}

/** Cuts frames into runs of one kind, one depth of colour and one side. */
export function inkRuns(ink: InkTrack, from: number, to: number): Run[] {
  const runs: Run[] = [];
  for (let i = from; i < to; i++) {
    const kind = ink.kind[i];
    if (kind === NO_INK) continue;
    const cents = ink.calm(ink.cents, i);
    const step = kind === INK ? deviationStep(cents) : 0;
    const side = step === 0 ? 0 : Math.sign(cents);
    const last = runs.at(-1);
    if (last && last.to === i - 1 && last.kind === kind && last.step === step && last.side === side)
      last.to = i;
    else runs.push({ from: i, to: i, kind, step, side });
  }
  return runs;
}

/** Y of a frame's deviation from its rule, straight or bent. */
export function inkY(ink: InkTrack, layout: RibbonLayout, i: number): number {
  return layout.yAt(ink.calm(ink.cents, i)) + layout.dropAt(ink.bend[i]);
}

/** Y of the spine at a frame; stray ink is lifted off the ribbon, upwards for a higher partial. */
function spineY(ink: InkTrack, layout: RibbonLayout, i: number): number {
  const cents = ink.calm(ink.cents, i);
  if (ink.kind[i] !== STRAY) return inkY(ink, layout, i);
  const away = ink.partial[i] > ink.expected[i] ? -1 : 1;
  return layout.ruleY + away * STRAY_LIFT * layout.height - (layout.ruleY - layout.yAt(cents)) * 0.3;
}

/**
 * The strip that is painted afresh when frames `from` up to `to` arrive: from the last frames that they can
 * still change, on whole pixels, so that strips meet without a seam.
 */
function stripOf(from: number, to: number, layout: RibbonLayout): { left: number; right: number } {
  return {
    left: Math.floor(layout.xAt((from - CALM_FRAMES - 1) * FRAME_SECONDS)),
    right: Math.ceil(layout.xAt((to + 2) * FRAME_SECONDS)),
  };
}

/**
 * Paints frames `from` up to `to` (not included). The strip they cover is painted whole - what reaches into
 * it from earlier frames too - so that a live ribbon can be drawn strip by strip and looks as if drawn at once.
 */
export function paintInk(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  from: number,
  to: number,
  layout: RibbonLayout,
  palette: RibbonPalette,
): void {
  if (to <= from) return;
  const xs = (i: number) => layout.xAt(i * FRAME_SECONDS);
  const ys = (i: number) => spineY(ink, layout, i);
  const half = (i: number) =>
    layout.halfAt(ink.calm(ink.loudness, i)) * (ink.kind[i] === STRAY ? STRAY_HALF : 1);
  const strip = stripOf(from, to, layout);
  ctx.save();
  ctx.beginPath();
  ctx.rect(strip.left, 0, strip.right - strip.left, layout.height);
  ctx.clip();
  ctx.clearRect(strip.left, 0, strip.right - strip.left, layout.height);

  // Shapes begin well before the strip, so that inside it they are what they would be in a whole drawing.
  const start = Math.max(0, from - 4 * CALM_FRAMES);
  for (const run of inkRuns(ink, start, to)) {
    if (run.kind === STRAY) {
      paintStrayPiece(ctx, ink, run, xs, ys, half, palette);
      continue;
    }
    const last = Math.min(run.to + 1, ink.count - 1);
    const joined = ink.kind[last] === run.kind ? last : run.to;
    const end = xs(joined) + (joined === run.to ? layout.pxPerSecond * FRAME_SECONDS : 1.5);
    const shape = new Path2D();
    for (let i = run.from; i <= joined; i++) shape.lineTo(xs(i), ys(i) - half(i));
    shape.lineTo(end, ys(joined) - half(joined));
    shape.lineTo(end, ys(joined) + half(joined));
    for (let i = joined; i >= run.from; i--) shape.lineTo(xs(i), ys(i) + half(i));
    shape.closePath();
    ctx.fillStyle = palette.deviation[run.step];
    ctx.fill(shape);
    if (run.step > 0) paintHatch(ctx, shape, xs(run.from), end, run.side, run.step, layout, palette);
  }
  paintGrain(ctx, ink, from, to, layout, palette);
  paintSpine(ctx, ink, start, to, xs, ys, layout, palette);
  paintWanted(ctx, ink, start, to, xs, layout, palette);
  ctx.restore();
}

function paintStrayPiece(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  run: Run,
  xs: (i: number) => number,
  ys: (i: number) => number,
  half: (i: number) => number,
  palette: RibbonPalette,
): void {
  ctx.strokeStyle = palette.copper;
  ctx.lineWidth = 2;
  ctx.beginPath();
  for (let i = run.from; i <= run.to; i++) ctx.lineTo(xs(i), ys(i) - half(i));
  for (let i = run.to; i >= run.from; i--) ctx.lineTo(xs(i), ys(i) + half(i));
  if (run.to < ink.count - 1 && ink.kind[run.to + 1] !== STRAY) ctx.closePath();
  ctx.stroke();
}

function paintSpine(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  from: number,
  to: number,
  xs: (i: number) => number,
  ys: (i: number) => number,
  layout: RibbonLayout,
  palette: RibbonPalette,
): void {
  ctx.lineJoin = 'round';
  ctx.lineCap = 'butt';
  ctx.beginPath();
  let open = false;
  for (let i = from; i < to; i++) {
    if (ink.kind[i] !== INK) {
      open = false;
      continue;
    }
    if (open) ctx.lineTo(xs(i), ys(i));
    else ctx.moveTo(xs(i), ys(i));
    open = true;
  }
  ctx.strokeStyle = palette.paper;
  ctx.lineWidth = layout.spinePx;
  ctx.stroke();
}

/** The hairpin redrawn around the ribbon's own spine: ink outside it is too loud, paper inside too soft. */
function paintWanted(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  from: number,
  to: number,
  xs: (i: number) => number,
  layout: RibbonLayout,
  palette: RibbonPalette,
): void {
  ctx.strokeStyle = palette.brass;
  ctx.lineWidth = layout.spinePx > 3 ? 2.2 : 1;
  for (const side of [-1, 1]) {
    ctx.beginPath();
    let open = false;
    for (let i = from; i < to; i++) {
      if (ink.kind[i] !== INK || Number.isNaN(ink.wanted[i])) {
        open = false;
        continue;
      }
      const y = inkY(ink, layout, i) + side * (layout.halfAt(ink.wanted[i]) + 2);
      if (open) ctx.lineTo(xs(i), y);
      else ctx.moveTo(xs(i), y);
      open = true;
    }
    ctx.stroke();
  }
}

/** Frames at which a stray piece begins, from a frame on. */
export function strayStarts(ink: InkTrack, from = 0): number[] {
  const starts: number[] = [];
  for (let i = from; i < ink.count; i++)
    if (ink.kind[i] === STRAY && ink.kind[i - 1] !== STRAY) starts.push(i);
  return starts;
}

/** A piece shorter than this is drawn without a name. */
const NAMED_FRAMES = 8;
/** About as long as the name: it must clear the piece under it. */
const NAME_FRAMES = 50;

/** Names the stray pieces that begin at `starts` by their partial, above them. */
export function paintStrayLabels(
  ctx: CanvasRenderingContext2D,
  ink: InkTrack,
  starts: readonly number[],
  layout: RibbonLayout,
  palette: RibbonPalette,
  strayLabel: (partial: number) => string,
  font: string,
): void {
  ctx.save();
  ctx.font = font;
  ctx.fillStyle = palette.copper;
  ctx.textBaseline = 'bottom';
  for (const start of starts) {
    let top = Infinity;
    let end = start;
    for (; end < Math.min(ink.count, start + NAME_FRAMES) && ink.kind[end] === STRAY; end++)
      top = Math.min(top, spineY(ink, layout, end) - layout.halfAt(ink.calm(ink.loudness, end)) * STRAY_HALF);
    if (end - start < NAMED_FRAMES) continue;
    ctx.fillText(strayLabel(ink.partial[start]), layout.xAt(start * FRAME_SECONDS), top - 5);
  }
  ctx.restore();
}
