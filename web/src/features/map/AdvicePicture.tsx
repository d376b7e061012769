import { Box } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { MouthpieceAdvice } from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import { LABEL_FAMILY, useElementSize, useRibbonPalette } from '../../ribbon/index.ts';
import { axisCents, signedNote } from '../../notation/index.ts';
import { mapScale, xOfNote } from './mapScale.ts';

interface AdvicePictureProps {
  notes: MouthpieceAdvice['notes'];
  naming: NoteNaming;
  label: string;
}

const HEIGHT = 240;
const NAMES_PX = 28;
const LEFT_PX = 84;
const STEP_CENTS = 10;
const LEAST_CENTS = 20;

/** Each note before and after: a ring where it lies, a stroke to the dot where it would lie. */
export function AdvicePicture({ notes, naming, label }: AdvicePictureProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const [frame, { width: room }] = useElementSize();
  const lowest = notes[0].writtenMidi;
  const scale = mapScale(lowest, notes[notes.length - 1].writtenMidi, room, LEFT_PX);
  const far = notes.reduce(
    (most, { before, after }) => Math.max(most, Math.abs(before), Math.abs(after)),
    LEAST_CENTS,
  );
  const reach = STEP_CENTS * Math.ceil((far + 2) / STEP_CENTS);
  const bottom = HEIGHT - NAMES_PX;
  const y = (cents: number) => bottom / 2 - (cents / reach) * (bottom / 2 - 10);
  return (
    <Box ref={frame} overflowX="auto" overflowY="hidden" role="img" aria-label={label}>
      {room > 0 && (
        <svg width={scale.width} height={HEIGHT} viewBox={`0 0 ${scale.width} ${HEIGHT}`}>
          {[reach, 0, -reach].map((cents) => (
            <g key={cents}>
              <path
                d={`M${LEFT_PX} ${y(cents)}H${scale.width}`}
                stroke={cents === 0 ? palette.brass : palette.line}
                strokeWidth={cents === 0 ? 1.6 : 1}
              />
              <text x={0} y={y(cents) + 5} fill={palette.muted} fontSize={13} fontFamily={LABEL_FAMILY}>
                {axisCents(cents, t)}
              </text>
            </g>
          ))}
          {notes.map(({ writtenMidi, before, after }) => {
            const x = xOfNote(scale, writtenMidi);
            return (
              <g key={writtenMidi}>
                <path d={`M${x} ${y(before)}L${x} ${y(after)}`} stroke={palette.muted} strokeWidth={2} />
                <circle
                  cx={x}
                  cy={y(before)}
                  r={5}
                  fill={palette.paper}
                  stroke={palette.muted}
                  strokeWidth={1.6}
                />
                <circle cx={x} cy={y(after)} r={5} fill={palette.ink} />
                <text
                  x={x}
                  y={HEIGHT - 6}
                  textAnchor="middle"
                  fill={palette.ink}
                  fontSize={13}
                  fontFamily={LABEL_FAMILY}
                >
                  {signedNote(writtenMidi, naming)}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </Box>
  );
}
