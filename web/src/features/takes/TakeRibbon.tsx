import { Box } from '@chakra-ui/react';
import { nearestMark, scoreOf, secondsPerBeat, writtenMarks } from '@inner-hum/core/exercise';
import { columnValue, FRAME_SECONDS } from '@inner-hum/core/hearing';
import type { NoteNaming } from '@inner-hum/core/horn';
import { playedExercise } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useCallback, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useTranslation } from 'react-i18next';
import {
  LABEL_FONT,
  LABEL_ROOM_PX,
  MARK_FONT,
  paintGhost,
  paintMarks,
  paintNames,
  paintRules,
  RibbonPicture,
  type RibbonLayout,
  type RibbonPalette,
} from '../../ribbon/index.ts';
import type { TakeRecord } from '../../storage/index.ts';
import { itemName } from '../../notation/index.ts';
import { useNarrow } from '../../ui/index.ts';
import type { TakeDrawing } from '../../listing/index.ts';
import { decimals } from '../../words/index.ts';
import { paintTakeMarks } from './paintTakeMarks.ts';
import { useCursorSeconds, type TakeCursor } from './takeCursor.ts';
import type { OtherTake } from './useOtherTake.ts';

interface TakeRibbonProps {
  take: TakeRecord;
  drawing: TakeDrawing;
  /** Laid over this one, beat on beat. */
  other: OtherTake | null;
  naming: NoteNaming;
  /** What it shows, for whoever does not see it. */
  label: string;
  cursor: TakeCursor;
  onCursor(seconds: number): void;
}

const HEIGHT = 320;
const FOOT = 46;
const STEP_SECONDS = 0.05;

/** The ribbon of one take with its cursor: pointer, arrow keys and sound all move the same line. */
export function TakeRibbon({ take, drawing, other, naming, label, cursor, onCursor }: TakeRibbonProps) {
  const { t } = useTranslation();
  const narrow = useNarrow();
  const cursorSeconds = useCursorSeconds(cursor);
  const [layout, setLayout] = useState<RibbonLayout | null>(null);
  const { analysis, context } = take;
  const strayLabel = useCallback((partial: number) => t('ribbon.partial', { partial }), [t]);

  const paintUnder = useCallback(
    (ctx: CanvasRenderingContext2D, at: RibbonLayout, palette: RibbonPalette) =>
      paintRules(
        ctx,
        at,
        palette,
        narrow ? null : { sharp: t('ribbon.sharp'), flat: t('ribbon.flat'), font: LABEL_FONT },
      ),
    [t, narrow],
  );
  const paintOver = useCallback(
    (ctx: CanvasRenderingContext2D, at: RibbonLayout, palette: RibbonPalette) => {
      if (!analysis || !context) return;
      const beat = secondsPerBeat(context.exercise);
      const marks = writtenMarks(playedExercise(context.exercise, analysis)).map(({ seconds, mark }) => ({
        seconds: analysis.beatZeroSeconds + seconds,
        mark,
      }));
      paintMarks(ctx, at, palette, marks, at.height - 8, MARK_FONT);
      if (analysis.items.length > 1) paintNames(ctx, at, palette, noteStarts(take, naming, t), LABEL_FONT);
      paintTakeMarks(ctx, at, palette, analysis, t);
      if (!other) return;
      // What has no beat begins with its first sound and goes as it goes.
      const otherZero = other.take.analysis?.beatZeroSeconds ?? other.drawing.fromSeconds;
      const stretch = other.take.context ? beat / secondsPerBeat(other.take.context.exercise) : 1;
      paintGhost(
        ctx,
        other.drawing.ink,
        at,
        palette,
        (seconds) => analysis.beatZeroSeconds + (seconds - otherZero) * stretch,
      );
    },
    [take, analysis, context, t, other, naming],
  );

  const { fromSeconds, toSeconds, track, target } = drawing;
  const set = (seconds: number) => onCursor(Math.max(fromSeconds, Math.min(toSeconds, seconds)));
  const point = (event: PointerEvent<HTMLDivElement>) => {
    if (!layout || (event.type === 'pointermove' && event.buttons === 0)) return;
    const x = event.clientX - event.currentTarget.getBoundingClientRect().left;
    set(fromSeconds + (x - layout.left) / layout.pxPerSecond);
  };
  const press = (event: KeyboardEvent) => {
    const by = { ArrowRight: STEP_SECONDS, ArrowLeft: -STEP_SECONDS }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    set((cursorSeconds ?? fromSeconds) + by);
  };
  const here = cursorSeconds === null ? null : readCursor();
  function readCursor(): string {
    const frame = Math.round((cursorSeconds ?? 0) / FRAME_SECONDS);
    const f0Hz = columnValue(track.columns.f0Hz, frame);
    const zero = analysis?.beatZeroSeconds ?? 0;
    const seconds = decimals((cursorSeconds ?? 0) - zero, 2);
    if (f0Hz === null) return t('take.cursorSilent', { seconds });
    const level = track.columns.levelDb[frame];
    const mark = nearestMark(level, take.scale);
    const off = target === null ? drawing.ink.cents[frame] : 1200 * Math.log2(f0Hz / target.targetHz);
    const count = Math.round(Math.abs(off));
    return t(off >= 0 ? 'take.cursorSharp' : 'take.cursorFlat', {
      count,
      mark,
      seconds,
      db: decimals(level, 1),
    });
  }
  const x = layout && cursorSeconds !== null ? layout.xAt(cursorSeconds) : null;

  return (
    <Box
      position="relative"
      role="slider"
      tabIndex={0}
      aria-label={t('take.cursor')}
      aria-valuemin={0}
      aria-valuemax={Math.round((toSeconds - fromSeconds) * 100) / 100}
      aria-valuenow={Math.round(((cursorSeconds ?? fromSeconds) - fromSeconds) * 100) / 100}
      aria-valuetext={here ?? undefined}
      onPointerDown={point}
      onPointerMove={point}
      onKeyDown={press}
      cursor="crosshair"
      touchAction="pan-y"
      data-testid="take-ribbon"
    >
      <RibbonPicture
        ink={drawing.ink}
        fromSeconds={fromSeconds}
        toSeconds={toSeconds}
        height={HEIGHT + FOOT}
        marginRight={narrow ? 8 : LABEL_ROOM_PX}
        strayLabel={strayLabel}
        paintUnder={paintUnder}
        paintOver={paintOver}
        onLayout={setLayout}
        label={label}
      />
      {x !== null && (
        <Box
          className="solid-line"
          position="absolute"
          top="0"
          bottom="0"
          w="2px"
          bg="ink"
          pointerEvents="none"
          style={{ left: x - 1 }}
        />
      )}
      <Box minH="6" color="ink" fontSize="medium">
        {here ?? ' '}
      </Box>
    </Box>
  );
}

/** Where each note was found, with its name. What was missed is not on the ribbon. */
function noteStarts({ context, hornId, analysis }: TakeRecord, naming: NoteNaming, t: TFunction) {
  if (!context || !analysis) return [];
  const score = scoreOf(context.exercise);
  return analysis.items.flatMap(({ kind, item, startSeconds, ...rest }) => {
    const written = score.at(item)?.item;
    if (kind !== 'note' || startSeconds === null || !written) return [];
    const before = item > 0 ? score.at(item - 1)?.item : undefined;
    const name = itemName(written, before, context.exercise, hornId, naming, t);
    return [{ seconds: startSeconds, name: name ?? '', isNow: 'status' in rest && rest.status === 'played' }];
  });
}
