import { Box, chakra } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { Rung } from '@inner-hum/core/plan';
import type { KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { useElementSize, useRibbonPalette } from '../../ribbon/index.ts';
import { NoteGlyph } from '../../notation/index.ts';
import type { Tuning } from './ladderAddress.ts';
import { RungMark } from './RungMark.tsx';
import { rungLabel } from './rungText.ts';

interface LadderPictureProps {
  rungs: readonly (readonly Rung[])[];
  fifths: readonly (readonly Rung[])[];
  looked: Rung;
  next: Rung | null;
  tuning: Tuning;
  naming: NoteNaming;
  height: number;
  onLook(rung: Rung): void;
}

const LEFT_PX = 44;
const FOOT_PX = 44;
const HEAD_PX = 14;
/** Narrower columns have small names: a sharp would reach into the next one. */
const WIDE_COLUMN_PX = 24;
const MOST_RUNG_PX = 50;

const keyOf = ({ fingered, partial }: Rung) => `${fingered}/${partial}`;

/** Fundamentals side by side, their partials above them, then the overblown fifths; height is pitch: all ways to one note lie on one line. */
export function LadderPicture(props: LadderPictureProps) {
  const { rungs, fifths, looked, next, tuning, naming, height, onLook } = props;
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const [frame, { width }] = useElementSize();
  const columns = [...rungs, ...fifths];
  const all = columns.flat();
  const lowest = Math.min(...all.map(({ sounding }) => sounding));
  const highest = Math.max(...all.map(({ sounding }) => sounding));
  const yOf = (midi: number) =>
    HEAD_PX + ((highest - midi) / (highest - lowest)) * (height - HEAD_PX - FOOT_PX);
  // The fifths stand apart, by half a column.
  const gap = fifths.length > 0 ? 0.5 : 0;
  const spacing = (width - LEFT_PX) / (columns.length + gap);
  const xOf = (column: number) => LEFT_PX + spacing * (column + 0.5 + (column < rungs.length ? 0 : gap));
  /** Where the foot of a column stands: at the note its fingering is named by. */
  const footOf = ([first]: readonly Rung[]) => yOf(first.fingered);
  const rungWidth = Math.min(MOST_RUNG_PX, spacing * 0.66);
  const lines = rungs[0].map(({ sounding }) => sounding);
  const move = (event: KeyboardEvent<HTMLElement>, from: Rung) => {
    const column = columns.findIndex((series) => series.includes(from));
    const row = columns[column].indexOf(from);
    /** The rung of the same partial beside it, else the one that sounds nearest. */
    const beside = (series: readonly Rung[] | undefined) =>
      series?.find(({ partial }) => partial === from.partial) ??
      series
        ?.toSorted((a, b) => Math.abs(a.sounding - from.sounding) - Math.abs(b.sounding - from.sounding))
        .at(0);
    const to: Partial<Record<string, Rung>> = {
      ArrowUp: columns[column][row + 1],
      ArrowDown: row > 0 ? columns[column][row - 1] : undefined,
      ArrowRight: beside(columns.at(column + 1)),
      ArrowLeft: beside(column > 0 ? columns[column - 1] : undefined),
    };
    const found = to[event.key];
    if (!found) return;
    event.preventDefault();
    // The focus goes along at once: what is chosen stands in the address, which comes later.
    event.currentTarget.parentElement?.querySelector<HTMLElement>(`[data-rung="${keyOf(found)}"]`)?.focus();
    onLook(found);
  };
  return (
    <Box
      ref={frame}
      position="relative"
      w="full"
      role="group"
      aria-label={t('ladder.picture')}
      style={{ height }}
      data-testid="ladder"
    >
      {width > 0 && (
        <>
          <svg width={width} height={height} aria-hidden="true" style={{ position: 'absolute', inset: 0 }}>
            {lines.map((midi) => (
              <line
                key={midi}
                x1={LEFT_PX}
                x2={width}
                y1={yOf(midi)}
                y2={yOf(midi)}
                stroke={palette.line}
                strokeDasharray="3 6"
              />
            ))}
            {columns.map((series, column) => (
              <path
                key={series[0].fingered}
                d={`M${xOf(column) - 3} ${footOf(series)}V${yOf(series[series.length - 1].sounding)}h6V${footOf(series)}`}
                fill="none"
                stroke={palette.line}
                strokeWidth={1.5}
              />
            ))}
            <line
              x1={LEFT_PX}
              x2={width}
              y1={yOf(looked.sounding)}
              y2={yOf(looked.sounding)}
              stroke={palette.brass}
              strokeWidth={2}
            />
            {columns.map((series, column) =>
              series.map((rung) => (
                <RungMark
                  key={keyOf(rung)}
                  rung={rung}
                  tuning={tuning}
                  x={xOf(column)}
                  y={yOf(rung.sounding)}
                  width={rungWidth}
                  isOnLine={rung.sounding === looked.sounding}
                  isLooked={rung === looked}
                  isNext={rung === next}
                />
              )),
            )}
          </svg>
          {lines.map((midi) => (
            <Box
              key={midi}
              position="absolute"
              left="0"
              aria-hidden="true"
              fontFamily="heading"
              color={midi === looked.sounding ? 'ink' : 'muted'}
              lineHeight="1"
              style={{ top: yOf(midi) - 8 }}
            >
              <NoteGlyph midi={midi} naming={naming} octave />
            </Box>
          ))}
          {!lines.includes(looked.sounding) && (
            <Box
              position="absolute"
              left="0"
              aria-hidden="true"
              fontFamily="heading"
              lineHeight="1"
              bg="paper"
              style={{ top: yOf(looked.sounding) - 8 }}
            >
              <NoteGlyph midi={looked.sounding} naming={naming} octave />
            </Box>
          )}
          {fifths.length > 0 && (
            <Box
              position="absolute"
              aria-hidden="true"
              color="muted"
              fontSize="small"
              style={{ top: 0, left: xOf(rungs.length) - spacing / 2 }}
            >
              {t('familyName.fifths')}
            </Box>
          )}
          {columns.map((series, column) => (
            <Box
              key={series[0].fingered}
              position="absolute"
              aria-hidden="true"
              fontFamily="heading"
              fontSize={spacing < WIDE_COLUMN_PX ? 'small' : 'large'}
              lineHeight="1"
              textAlign="center"
              style={{ top: footOf(series) + 12, left: xOf(column) - spacing / 2, width: spacing }}
            >
              <NoteGlyph midi={series[0].fingered} naming={naming} />
            </Box>
          ))}
          {all.map((rung) => {
            const column = columns.findIndex((series) => series.includes(rung));
            const isLooked = rung === looked;
            return (
              <chakra.button
                key={keyOf(rung)}
                data-rung={keyOf(rung)}
                type="button"
                aria-label={rungLabel(rung, tuning, naming, t)}
                aria-pressed={isLooked}
                tabIndex={isLooked ? 0 : -1}
                onClick={() => onLook(rung)}
                onKeyDown={(event) => move(event, rung)}
                position="absolute"
                cursor="pointer"
                style={{
                  left: xOf(column) - spacing / 2,
                  top: yOf(rung.sounding) - 12,
                  width: spacing,
                  height: 24,
                }}
              />
            );
          })}
        </>
      )}
    </Box>
  );
}
