import type { DynamicScale } from '@inner-hum/core/exercise';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import {
  createLayout,
  everyFrame,
  fitCanvas,
  InkTrack,
  LABEL_FONT,
  LABEL_ROOM_PX,
  paintInk,
  paintRules,
  useElementSize,
  useRibbonPalette,
} from '../../ribbon/index.ts';
import { useSession } from '../../session/index.ts';

interface LiveTapeProps {
  a4Hz: number;
  scale: DynamicScale;
  height: number;
  label: string;
}

/** One CSS pixel a frame: the tape can be moved by whole pixels and only its newest strip is painted. */
const PX_PER_SECOND = 100;

/** Free playing as a ribbon that runs to the left, against the nearest note. */
export function LiveTape({ a4Hz, scale, height, label }: LiveTapeProps) {
  const { t } = useTranslation();
  const { live } = useSession();
  const palette = useRibbonPalette();
  const [frame, { width }] = useElementSize();
  const under = useRef<HTMLCanvasElement>(null);
  const tape = useRef<HTMLCanvasElement>(null);

  useEffect(() => {
    if (!under.current || !tape.current || width === 0) return;
    const right = width - (width < 520 ? 8 : LABEL_ROOM_PX);
    const back = fitCanvas(under.current, width, height);
    const front = fitCanvas(tape.current, width, height);
    const ratio = tape.current.width / width;
    const layoutAt = (frames: number) =>
      createLayout({
        width,
        height,
        left: 0,
        right,
        fromSeconds: (frames - right) / PX_PER_SECOND,
        toSeconds: frames / PX_PER_SECOND,
      });
    paintRules(
      back,
      layoutAt(0),
      palette,
      width < 520 ? null : { sharp: t('ribbon.sharp'), flat: t('ribbon.flat'), font: LABEL_FONT },
    );
    const newInk = () => new InkTrack({ scale, a4Hz, notes: null, wantedAt: () => null });
    let ink = newInk();
    let track = live.track;

    const paint = () => {
      if (track !== live.track) {
        track = live.track;
        ink = newInk();
      }
      const from = ink.count;
      const fresh = ink.follow(track);
      if (fresh === 0) return;
      const canvas = front.canvas;
      const shift = Math.min(fresh, right);
      front.save();
      front.setTransform(1, 0, 0, 1, 0, 0);
      front.globalCompositeOperation = 'copy';
      front.drawImage(canvas, -shift * ratio, 0);
      front.restore();
      const layout = layoutAt(ink.count);
      paintInk(front, ink, Math.max(0, from, ink.count - right), ink.count, layout, palette);
    };
    return everyFrame(paint);
  }, [a4Hz, scale, height, width, palette, live, t]);

  return (
    <div ref={frame} role="img" aria-label={label} className="ribbon-frame" style={{ height }}>
      <canvas ref={under} style={{ position: 'absolute', width, height }} />
      <canvas ref={tape} style={{ position: 'absolute', width, height }} />
    </div>
  );
}
