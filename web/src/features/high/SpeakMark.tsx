import type { HighFigures } from '@inner-hum/core/plan';
import { useRibbonPalette } from '../../ribbon/index.ts';

const [WIDTH, HEIGHT] = [96, 14];

/** How often a fingering speaks, from never at the left to always at the right: the thick part is as far as the tries tell. */
export function SpeakMark({ rate, interval }: Pick<HighFigures, 'rate' | 'interval'>) {
  const palette = useRibbonPalette();
  const x = (share: number) => 6 + share * (WIDTH - 12);
  const middle = HEIGHT / 2;
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true">
      <path
        d={`M${x(0)} ${middle}H${x(1)}`}
        stroke={palette.muted}
        strokeWidth={1.2}
        strokeDasharray={rate === null ? '2 4' : undefined}
      />
      {rate !== null && interval !== null && (
        <>
          <path
            d={`M${x(interval.low)} ${middle}H${x(interval.high)}`}
            stroke={palette.brass}
            strokeWidth={5}
          />
          <circle cx={x(rate)} cy={middle} r={5} fill={palette.ink} />
        </>
      )}
    </svg>
  );
}
