import { Box } from '@chakra-ui/react';
import {
  DYNAMIC_MARKS,
  lengthBeats,
  painted,
  type BrushPoint,
  type DynamicMark,
  type Exercise,
  type Phrase,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { useState, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { loudnessAt, RibbonScore, scoreLayout } from '../../ribbon/index.ts';

interface ShapeBrushProps {
  /** The phrase as an exercise of its own. */
  exercise: Exercise;
  hornId: HornId;
  width: number;
  onPaint(phrase: Phrase): void;
}

const HEIGHT = 150;
const LAST_MARK = DYNAMIC_MARKS.length - 1;

/** The outline of a phrase, drawn by hand: the farther from the rule, the louder; what is painted is at once what is written. */
export function ShapeBrush({ exercise, hornId, width, onPaint }: ShapeBrushProps) {
  const { t } = useTranslation();
  const [brush, setBrush] = useState<readonly BrushPoint[]>([]);
  const [under, setUnder] = useState<{ x: number; y: number; mark: DynamicMark } | null>(null);
  const [phrase] = exercise.phrases;
  const shown = brush.length > 0 ? { ...exercise, phrases: [painted(phrase, brush)] } : exercise;
  const at = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [event.clientX - box.left, event.clientY - box.top];
    const layout = scoreLayout(exercise, width, HEIGHT);
    const mark = DYNAMIC_MARKS[Math.round(loudnessAt(layout, y) * LAST_MARK)];
    const beat = ((x - layout.left) / (layout.right - layout.left)) * lengthBeats(exercise);
    return { x, y, mark, beat };
  };
  return (
    <Box
      position="relative"
      w="full"
      cursor="crosshair"
      touchAction="none"
      data-testid="shape-brush"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setBrush([at(event)]);
      }}
      onPointerMove={(event) => {
        const here = at(event);
        setUnder(here);
        if (brush.length > 0) setBrush([...brush, here]);
      }}
      onPointerUp={() => {
        if (brush.length > 0) onPaint(painted(phrase, brush));
        setBrush([]);
      }}
      onPointerCancel={() => setBrush([])}
      onPointerLeave={() => setUnder(null)}
    >
      <RibbonScore exercise={shown} hornId={hornId} height={HEIGHT} label={t('builder.shape')} />
      <Box position="absolute" top="0" right="0" color="muted" fontSize="small" pointerEvents="none">
        {t('builder.paint')}
      </Box>
      {under && (
        <Box
          position="absolute"
          pointerEvents="none"
          aria-hidden="true"
          fontFamily="marks"
          fontStyle="italic"
          fontWeight="700"
          fontSize="large"
          lineHeight="1"
          style={{ left: Math.min(under.x + 14, width - 44), top: Math.max(0, under.y - 30) }}
        >
          {under.mark}
        </Box>
      )}
    </Box>
  );
}
