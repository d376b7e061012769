import type { Rung } from '@inner-hum/core/plan';
import { useRibbonPalette } from '../../ribbon/index.ts';
import type { Tuning } from './ladderAddress.ts';
import { centsFrom } from './rungText.ts';

interface RungMarkProps {
  rung: Rung;
  tuning: Tuning;
  x: number;
  y: number;
  width: number;
  /** It sounds the note that is looked at. */
  isOnLine: boolean;
  isLooked: boolean;
  isNext: boolean;
}

/** Higher rungs lie closer together and are drawn thinner. */
const thickness = (partial: number) => Math.max(6, 16 - 1.6 * partial);
/** So many cents off reach the end of the rung. */
const CENTS_TO_END = 40;
/** No claim is drawn finer than players hear. */
const LEAST_CENTS = 5;

/** One rung: inked as far as it speaks, dashed where it does not yet; the tick over it leans to where its pitch lies. */
export function RungMark({ rung, tuning, x, y, width, isOnLine, isLooked, isNext }: RungMarkProps) {
  const palette = useRibbonPalette();
  const high = thickness(rung.partial);
  const [left, top] = [x - width / 2, y - high / 2];
  const cents = centsFrom(rung, tuning);
  const off = cents === null ? 0 : Math.max(-1, Math.min(1, cents / CENTS_TO_END)) * (width / 2);
  const isOff = cents !== null && Math.abs(cents) >= LEAST_CENTS;
  const step = Math.round(
    Math.min(1, Math.max(0, (Math.abs(cents ?? 0) - LEAST_CENTS) / CENTS_TO_END)) *
      (palette.deviation.length - 1),
  );
  const ink = palette.deviation[step];
  return (
    <g>
      <rect
        x={left}
        y={top}
        width={width}
        height={high}
        fill={palette.paper}
        stroke={rung.state === 'notYet' ? palette.muted : ink}
        strokeWidth={1.3}
        strokeDasharray={rung.tries === 0 ? '3 3' : undefined}
      />
      {rung.rate !== null && rung.rate > 0 && (
        <rect x={left} y={top} width={width * rung.rate} height={high} fill={ink} />
      )}
      {isOff && (
        <rect
          x={Math.min(x, x + off)}
          y={top - 6}
          width={Math.max(2, Math.abs(off))}
          height={3}
          fill={palette.ink}
        />
      )}
      {isOnLine && rung.tries > 0 && !isLooked && (
        <circle cx={x} cy={y} r={width / 2 + 4} fill="none" stroke={palette.brass} strokeWidth={1.5} />
      )}
      {isLooked && (
        <rect
          x={left - 5}
          y={top - 9}
          width={width + 10}
          height={high + 14}
          rx={3}
          fill="none"
          stroke={palette.brass}
          strokeWidth={3}
        />
      )}
      {isNext && (
        <path d={`M${left - 16} ${y - 11}l8 11l-8 11`} fill="none" stroke={palette.ink} strokeWidth={2.4} />
      )}
    </g>
  );
}
