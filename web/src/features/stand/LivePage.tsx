import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { everyFrame, fitCanvas, useElementSize, useRibbonPalette } from '../../ribbon/index.ts';
import { useSession } from '../../session/index.ts';
import { createLivePainter, MARK_ROW, type LivePageContent } from './livePainter.ts';

interface LivePageProps extends LivePageContent {
  label: string;
}

const TICK_ROW = 48;
/** Below the page, over what stands there when nothing sounds. */
const LARGE_BEAT_ROW = 168;
const LEAST_RIBBON = 60;
/** As often as frames of sound come; where none came, nothing is drawn. */
const INK_PER_SECOND = 50;

/** The exercise on one page: hairpin outline ahead, ink where the player has been, the beat below. */
export function LivePage(props: LivePageProps) {
  const { exercise, hornId, a4Hz, scale, phase, hidden, naming, beatsSeen, label } = props;
  const { t } = useTranslation();
  const { live, desk, metronome } = useSession();
  const palette = useRibbonPalette();
  const [frame, { width, height }] = useElementSize();
  const under = useRef<HTMLCanvasElement>(null);
  const ahead = useRef<HTMLCanvasElement>(null);
  const over = useRef<HTMLCanvasElement>(null);
  const cursor = useRef<HTMLDivElement>(null);
  const isOwnTime = exercise.start === 'ownTime';
  const ribbonHeight = Math.max(LEAST_RIBBON, height - MARK_ROW - (isOwnTime ? 0 : TICK_ROW));
  const paperHeight = height + LARGE_BEAT_ROW;

  useEffect(() => {
    if (!under.current || !ahead.current || !over.current || width === 0 || height === 0) return;
    const back = fitCanvas(under.current, width, paperHeight);
    const outline = fitCanvas(ahead.current, width, ribbonHeight);
    const front = fitCanvas(over.current, width, ribbonHeight);
    const paint = createLivePainter(
      { exercise, hornId, a4Hz, scale, phase, hidden, naming, beatsSeen },
      { back, outline, front, cursor: cursor.current, width, height, ribbonHeight, paperHeight, palette },
      { live, desk, metronome },
      t,
    );
    if (phase !== 'resting') return everyFrame(paint, INK_PER_SECOND);
    // An ended take stands still.
    paint();
    return undefined;
  }, [
    exercise,
    hornId,
    a4Hz,
    scale,
    phase,
    hidden,
    naming,
    beatsSeen,
    width,
    height,
    ribbonHeight,
    paperHeight,
    palette,
    live,
    desk,
    metronome,
    t,
  ]);

  return (
    <div ref={frame} role="img" aria-label={label} className="ribbon-frame page-frame">
      <canvas ref={under} style={{ position: 'absolute', width, height: paperHeight }} />
      <canvas ref={ahead} style={{ position: 'absolute', width, height: ribbonHeight }} />
      <canvas ref={over} style={{ position: 'absolute', width, height: ribbonHeight }} />
      {/* Moved by itself, so that its way over the page draws nothing anew. */}
      <div ref={cursor} className="page-cursor" style={{ height: Math.max(0, ribbonHeight - 8) }} />
    </div>
  );
}
