import type { RibbonLayout, RibbonPalette } from '../../ribbon/index.ts';

export interface BeatRow {
  top: number;
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

const SMALL_FONT = '22px "Atkinson Hyperlegible Next Variable", sans-serif';
const BIG_FONT = '700 72px "Atkinson Hyperlegible Next Variable", sans-serif';

/** The beats under the hairpin: past ones pale, the present one tall, its number readable from two metres. */
export function paintBeats(
  ctx: CanvasRenderingContext2D,
  layout: RibbonLayout,
  palette: RibbonPalette,
  row: BeatRow,
): void {
  const { top, beats, secondsPerBeat, beatsPerBar, beatNow, leadBeats, counting, running } = row;
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
    const here = current === beat;
    const past = current !== null && beat < current;
    ctx.strokeStyle = here ? palette.brass : palette.ink;
    ctx.globalAlpha = past ? 0.28 : 1;
    ctx.lineWidth = here ? 16 : 6;
    ctx.beginPath();
    ctx.moveTo(x, top + (here ? 0 : 14));
    ctx.lineTo(x, top + 44);
    ctx.stroke();
    if (here || beat % every === 0) {
      ctx.font = here ? BIG_FONT : SMALL_FONT;
      ctx.fillStyle = here ? palette.ink : palette.muted;
      ctx.globalAlpha = past ? 0.6 : 1;
      ctx.fillText(String((beat % beatsPerBar) + 1), Math.max(x, here ? 24 : 8), top + 58);
    }
  }
  ctx.globalAlpha = 1;
  // Before the note: the count or the tempo, in the middle of the page where the eyes are.
  if (beatNow !== null && (isCount ? beatNow >= 0 && beatNow < leadBeats : !running)) {
    const inBar = ((Math.floor(beatNow) % beatsPerBar) + beatsPerBar) % beatsPerBar;
    const phase = beatNow - Math.floor(beatNow);
    ctx.globalAlpha = Math.max(0.25, 1 - phase);
    ctx.fillStyle = palette.brass;
    if (isCount) {
      ctx.font = BIG_FONT.replace('72px', '120px');
      ctx.textBaseline = 'middle';
      ctx.fillText(String(inBar + 1), (layout.left + layout.right) / 2, layout.ruleY);
    } else {
      ctx.beginPath();
      ctx.arc(layout.left + 17, layout.height * 0.06 + 10, inBar === 0 ? 13 : 9, 0, 2 * Math.PI);
      ctx.fill();
    }
  }
  ctx.restore();
}
