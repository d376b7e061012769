import type { Evenness, NoteSums } from '@inner-hum/core/tendency';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';
import { smoothPaths } from './smoothPaths.ts';
import { stepOf, xOfNote, type MapScale } from './mapScale.ts';

interface MapRowProps {
  label: string;
  /** What the top of the row is, with its unit. */
  unitText(top: number): string;
  scale: MapScale;
  sums: readonly NoteSums[];
  /** From where to where a note's bar reaches; null where it is not known. */
  value(note: NoteSums): readonly [number, number] | null;
  /** What stands out is inked. */
  evenness: Evenness | null;
  /** Whether the curve of the neighbours is on the scale of the bars. */
  hasCurve?: boolean;
  /** Bottom and top of the row; top null: the greatest value. */
  least?: number;
  most?: number | null;
}

const HEIGHT = 40;
const ROOM = 6;

/** One measure of every note, as bars over its own scale. */
export function MapRow({
  label,
  unitText,
  scale,
  sums,
  value,
  evenness,
  hasCurve = true,
  least = 0,
  most = null,
}: MapRowProps) {
  const palette = useRibbonPalette();
  const bars = sums.flatMap((note) => {
    const range = value(note);
    return range === null ? [] : [{ midi: note.writtenMidi, range }];
  });
  const top = most ?? Math.max(least + 1e-9, ...bars.map(({ range }) => range[1]));
  const y = (at: number) =>
    HEIGHT - ((Math.max(least, Math.min(top, at)) - least) / (top - least)) * (HEIGHT - ROOM);
  const half = 0.29 * stepOf(scale);
  const odd = new Set(evenness?.stickOut.map(({ writtenMidi }) => writtenMidi as number));
  return (
    <svg width={scale.width} height={HEIGHT} viewBox={`0 0 ${scale.width} ${HEIGHT}`} aria-hidden="true">
      <text x={0} y={16} fill={palette.ink} fontSize={14} fontFamily={LABEL_FAMILY}>
        {label}
      </text>
      <text x={0} y={33} fill={palette.muted} fontSize={13} fontFamily={LABEL_FAMILY}>
        {bars.length > 0 && unitText(top)}
      </text>
      {bars.map(({ midi, range }) => {
        const x = xOfNote(scale, midi);
        const [low, high] = [y(range[0]), y(range[1])];
        return (
          <rect
            key={midi}
            x={x - half}
            y={Math.min(high, low - 2)}
            width={2 * half}
            height={Math.max(2, low - high)}
            rx={2}
            fill={odd.has(midi) ? palette.ink : palette.brass}
            fillOpacity={odd.has(midi) ? 1 : 0.55}
          />
        );
      })}
      {hasCurve &&
        smoothPaths(evenness, (midi) => xOfNote(scale, midi), y).map((d) => (
          <path key={d} d={d} fill="none" stroke={palette.ink} strokeWidth={1} strokeOpacity={0.5} />
        ))}
      <path d={`M${scale.left} ${HEIGHT - 0.5}H${scale.width}`} stroke={palette.line} />
    </svg>
  );
}
