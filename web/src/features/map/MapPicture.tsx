import {
  REGISTER_BORDERS,
  type Evenness,
  type NoteTendency,
  type TendencyMap,
} from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import { LABEL_FAMILY, useRibbonPalette, type RibbonPalette } from '../../ribbon/index.ts';
import { axisCents } from '../../notation/index.ts';
import { stepOf, xOfNote, type MapScale } from './mapScale.ts';
import { smoothPaths } from './smoothPaths.ts';
import { KNOWN_CENTS } from './useHornMap.ts';

interface MapPictureProps {
  map: TendencyMap;
  pitch: Evenness | null;
  under: TendencyMap | null;
  scale: MapScale;
  looked: number | null;
  /** Level of pp and ff, in tens of dB from the middle. */
  soft: number;
  loud: number;
}

/** Over it the octave key goes down. */
const BREAK = 74;

const HEIGHT = 226;
const LEAST_CENTS = 25;
const STEP_CENTS = 10;
const [NARROW, WIDE] = [2.5, 8];
/** Less is not told apart. */
const LEAST_OFF = 5;
const MOST_OFF = 40;

/** Every note from pp (narrow end) to ff (wide end), the medium as a dot; open where it is not known yet. */
export function MapPicture({ map, pitch, under, scale, looked, soft, loud }: MapPictureProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const heard = map.notes.filter(({ days }) => days > 0);
  const far = heard
    .flatMap(({ at }) => [at(soft).cents, at(loud).cents])
    .reduce((most, cents) => Math.max(most, Math.abs(cents)), LEAST_CENTS);
  const reach = STEP_CENTS * Math.ceil((far + 2) / STEP_CENTS);
  const y = (cents: number) => HEIGHT / 2 - (cents / reach) * (HEIGHT / 2 - 12);
  const lines = Array.from({ length: (2 * reach) / STEP_CENTS + 1 }, (_, i) => -reach + i * STEP_CENTS);
  const { left, width } = scale;
  const borders = REGISTER_BORDERS.filter((midi) => midi > scale.lowest && midi <= scale.highest);
  return (
    <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden="true">
      {lines.map((cents) => (
        <path
          key={cents}
          d={`M${left} ${y(cents)}H${width}`}
          stroke={cents === 0 ? palette.brass : palette.line}
          strokeWidth={cents === 0 ? 1.6 : 1}
          strokeDasharray={cents === 0 ? undefined : '2 5'}
        />
      ))}
      {borders.map((midi) => {
        const x = xOfNote(scale, midi) - stepOf(scale) / 2;
        return (
          <path
            key={midi}
            d={`M${x} 0V${HEIGHT}`}
            stroke={palette.brass}
            strokeWidth={midi === BREAK ? 1.6 : 0.8}
          />
        );
      })}
      {[reach, -reach].map((cents) => (
        <text
          key={cents}
          x={0}
          y={y(cents) + (cents > 0 ? 12 : 0)}
          fill={palette.muted}
          fontSize={13}
          fontFamily={LABEL_FAMILY}
        >
          {axisCents(cents, t)}
        </text>
      ))}
      <text x={0} y={y(0) + 4} fill={palette.muted} fontSize={13} fontFamily={LABEL_FAMILY}>
        {axisCents(0, t)}
      </text>
      {under?.notes.map((note) =>
        note.days > 0 ? (
          <path
            key={note.writtenMidi}
            d={shape(note, xOfNote(scale, note.writtenMidi), y, soft, loud)}
            fill="none"
            stroke={palette.muted}
            strokeWidth={1.4}
          />
        ) : null,
      )}
      {smoothPaths(pitch, (midi) => xOfNote(scale, midi), y).map((d) => (
        <path key={d} d={d} fill="none" stroke={palette.brass} strokeWidth={1.2} strokeOpacity={0.7} />
      ))}
      {heard.map((note) => (
        <Mark
          key={note.writtenMidi}
          note={note}
          x={xOfNote(scale, note.writtenMidi)}
          y={y}
          soft={soft}
          loud={loud}
          isLooked={note.writtenMidi === looked}
          palette={palette}
        />
      ))}
    </svg>
  );
}

/** A reed stood on end: narrow where the pitch is when soft, wide where it is when loud. */
function shape(
  note: NoteTendency,
  x: number,
  y: (cents: number) => number,
  soft: number,
  loud: number,
): string {
  const [top, bottom] = [y(note.at(soft).cents), y(note.at(loud).cents)];
  return `M${x - NARROW} ${top}L${x + NARROW} ${top}L${x + WIDE} ${bottom}L${x - WIDE} ${bottom}Z`;
}

interface MarkProps {
  note: NoteTendency;
  x: number;
  y(cents: number): number;
  soft: number;
  loud: number;
  isLooked: boolean;
  palette: RibbonPalette;
}

function Mark({ note, x, y, soft, loud, isLooked, palette }: MarkProps) {
  const { cents } = note.at(0);
  const known = note.placeError <= KNOWN_CENTS;
  const share = Math.min(1, Math.max(0, Math.abs(cents) - LEAST_OFF) / MOST_OFF);
  const colour = palette.deviation[Math.round(share * (palette.deviation.length - 1))];
  return (
    <g>
      {isLooked && <path d={`M${x} 0V${HEIGHT}`} stroke={palette.cane} strokeWidth={26} />}
      <path
        d={shape(note, x, y, soft, loud)}
        fill={known ? colour : palette.paper}
        stroke={colour}
        strokeWidth={1.3}
        strokeDasharray={known ? undefined : '3 3'}
        strokeLinejoin="round"
      />
      <circle cx={x} cy={y(cents)} r={4.2} fill={palette.paper} stroke={colour} strokeWidth={1.4} />
    </g>
  );
}
