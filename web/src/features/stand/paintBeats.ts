import type { RibbonLayout, RibbonPalette } from '../../ribbon/index.ts';

export interface BeatRow {
  /** Where the row of small ticks begins, and where the large beat below it. */
  top: number;
  largeTop: number;
  beats: number;
  secondsPerBeat: number;
  beatsPerBar: number;
  /** Where the pulse is, in beats since its zero; null where no beat is shown. */
  beatNow: number | null;
  /** Beats of the pulse before beat 0 of the exercise: the counted bar. */
  leadBeats: number;
  counting: boolean;
  running: boolean;
}

const FAMILY = '"Atkinson Hyperlegible Next Variable", sans-serif';
const SMALL_FONT = `20px ${FAMILY}`;
const LARGE_FONT = `700 96px ${FAMILY}`;
const COUNT_FONT = `700 120px ${FAMILY}`;
const TICK_PX = 16;
const LARGE_TICK_PX = 40;

/** The beats under the hairpin, always there; while the pulse runs, the present one stands large below its tick, readable from two metres. */
export function paintBeats(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  row: BeatRow,
): void {
  const { top, largeTop, beats, secondsPerBeat, beatsPerBar, beatNow, leadBeats, counting, running } = row;
  const inExercise = beatNow !== null && (running || counting) ? beatNow - leadBeats : null;
  // A counted take begins a beat before its first: the count goes on to its end.
  const isCount = counting || (running && inExercise !== null && inExercise < 0);
  const current = inExercise === null ? null : Math.floor(inExercise);
  ctx.save();
  ctx.textAlign = 'center';
  ctx.textBaseline = 'top';
  ctx.lineCap = 'round';
  const spacing = secondsPerBeat * layout.pxPerSecond;
  const every = spacing < 30 ? beatsPerBar : 1;
  for (let beat = 0; beat < beats; beat++) {
    const x = layout.xAt(beat * secondsPerBeat) + 9;
    const past = current !== null && beat < current;
    ctx.strokeStyle = palette.ink;
    ctx.globalAlpha = past ? 0.28 : 1;
    ctx.lineWidth = 4;
    ctx.beginPath();
    ctx.moveTo(x, top + 2);
    ctx.lineTo(x, top + TICK_PX);
    ctx.stroke();
    const number = String((beat % beatsPerBar) + 1);
    if (beat % every === 0) {
      ctx.font = SMALL_FONT;
      ctx.fillStyle = palette.muted;
      ctx.globalAlpha = past ? 0.6 : 1;
      ctx.fillText(number, Math.max(x, 8), top + TICK_PX + 6);
    }
    if (current !== beat) continue;
    ctx.globalAlpha = 1;
    ctx.strokeStyle = palette.brass;
    ctx.lineWidth = 16;
    ctx.beginPath();
    ctx.moveTo(x, largeTop + 8);
    ctx.lineTo(x, largeTop + LARGE_TICK_PX);
    ctx.stroke();
    ctx.font = LARGE_FONT;
    ctx.fillStyle = palette.ink;
    ctx.fillText(number, Math.max(x, 30), largeTop + LARGE_TICK_PX + 16);
  }
  ctx.globalAlpha = 1;
  // Before the note: the count in the middle of the page where the eyes are, or the tempo at its end, where no name begins.
  if (beatNow !== null && (isCount ? beatNow >= 0 && beatNow < leadBeats : !running)) {
    const inBar = ((Math.floor(beatNow) % beatsPerBar) + beatsPerBar) % beatsPerBar;
    const phase = beatNow - Math.floor(beatNow);
    ctx.globalAlpha = Math.max(0.25, 1 - phase);
    ctx.fillStyle = palette.brass;
    if (isCount) {
      ctx.font = COUNT_FONT;
      ctx.textBaseline = 'middle';
      ctx.fillText(String(inBar + 1), (layout.left + layout.right) / 2, layout.ruleY);
    } else {
      ctx.beginPath();
      ctx.arc(layout.right - 17, layout.height * 0.06 + 10, inBar === 0 ? 13 : 9, 0, 2 * Math.PI);
      ctx.fill();
    }
  }
  ctx.restore();
}
