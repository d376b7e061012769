import type { Profile } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';

interface ProfilePictureProps {
  first: Profile;
  second: Profile;
  names: readonly [string, string];
}

const ROW_PX = 34;
const BAR_PX = 22;
const HALF_PX = 170;
const MIDDLE_PX = 40;
const TOP_PX = 36;
/** From the strongest harmonic down to where ears stop minding. */
const RANGE_DB = 45;
const WIDTH_PX = 2 * HALF_PX + MIDDLE_PX;

/** Mean difference over the harmonics that both have: it is loudness, not colour. */
function apart(first: Profile, second: Profile): number {
  const both = first.flatMap((db, k) => {
    const other = second.at(k) ?? null;
    return db === null || other === null ? [] : [other - db];
  });
  return both.length === 0 ? 0 : both.reduce((sum, each) => sum + each, 0) / both.length;
}

/** Two sounds of one pitch as two halves of one leaf, harmonic by harmonic: where the halves are alike, so are the sounds. */
export function ProfilePicture({ first, second, names }: ProfilePictureProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const offset = apart(first, second);
  const aligned = second.map((db) => (db === null ? null : db - offset));
  const top = Math.max(...[...first, ...aligned].filter((db) => db !== null));
  const lengthOf = (db: number | null) =>
    db === null ? 0 : Math.max(0, 1 - (top - db) / RANGE_DB) * HALF_PX;
  const height = TOP_PX + ROW_PX * first.length;
  const text = { fill: palette.muted, fontSize: 14, fontFamily: LABEL_FAMILY };
  return (
    <svg
      width={WIDTH_PX}
      height={height}
      viewBox={`0 0 ${WIDTH_PX} ${height}`}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label={t('match.picture', { first: names[0], second: names[1] })}
    >
      <text x={HALF_PX} y={16} textAnchor="end" {...text} fill={palette.ink}>
        {names[0]}
      </text>
      <text x={HALF_PX + MIDDLE_PX} y={16} {...text} fill={palette.ink}>
        {names[1]}
      </text>
      {first.map((db, k) => {
        const y = TOP_PX + ROW_PX * k;
        const [left, right] = [lengthOf(db), lengthOf(aligned.at(k) ?? null)];
        return (
          <g key={k}>
            <text x={WIDTH_PX / 2} y={y + BAR_PX - 6} textAnchor="middle" {...text}>
              {k + 1}
            </text>
            <rect x={HALF_PX - left} y={y} width={left} height={BAR_PX} fill={palette.ink} />
            <rect x={HALF_PX + MIDDLE_PX} y={y} width={right} height={BAR_PX} fill={palette.ink} />
            {/* Where the other half would end if the sounds were alike. */}
            <path
              d={`M${HALF_PX - right} ${y - 3}v${BAR_PX + 6}M${HALF_PX + MIDDLE_PX + left} ${y - 3}v${BAR_PX + 6}`}
              stroke={palette.brass}
              strokeWidth={2}
            />
          </g>
        );
      })}
    </svg>
  );
}
