import {
  DYNAMIC_MARKS,
  markFraction,
  shapedDynamics,
  shapeOf,
  SWELL_SHAPES,
  type DynamicMark,
  type NoteItem,
  type SwellShape,
} from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import { HairpinIcon } from '../../notation/index.ts';
import { Choice, MarkField } from '../../ui/index.ts';

interface NoteShapeProps {
  note: NoteItem;
  onChange(note: NoteItem): void;
}

const next = (mark: DynamicMark, by: 1 | -1) =>
  DYNAMIC_MARKS[Math.max(0, Math.min(DYNAMIC_MARKS.length - 1, DYNAMIC_MARKS.indexOf(mark) + by))];

/** The loudness of one note in numbers: its shape, its softest and its loudest mark. What was painted by hand becomes one of these. */
export function NoteShape({ note, onChange }: NoteShapeProps) {
  const { t } = useTranslation();
  const marks = note.dynamics.map(({ mark }) => mark).toSorted((a, b) => markFraction(a) - markFraction(b));
  const [soft, loud] = [marks[0], marks[marks.length - 1]];
  const shape = shapeOf(note);
  const set = (to: { shape?: SwellShape; soft?: DynamicMark; loud?: DynamicMark }) => {
    const asked = { shape, soft, loud, ...to };
    // A shape that moves needs two marks.
    const flat = asked.shape !== 'steady' && markFraction(asked.soft) >= markFraction(asked.loud);
    const ends = flat ? (to.loud ? { soft: next(to.loud, -1) } : { loud: next(asked.soft, 1) }) : {};
    const least = flat && asked.soft === 'fff' ? { soft: 'ff' as const, loud: 'fff' as const } : ends;
    onChange({ ...note, dynamics: shapedDynamics({ ...asked, ...least, beats: note.lengthBeats }) });
  };
  const mark = (name: 'soft' | 'loud', value: DynamicMark) => (
    <MarkField
      label={t(shape === 'steady' ? 'option.from' : `option.${name}`)}
      mark={value}
      onChange={(chosen) => set({ [name]: chosen })}
    />
  );
  return (
    <>
      <Choice
        legend={t('swell.shape')}
        value={shape}
        onChange={(value) => set({ shape: value })}
        options={SWELL_SHAPES.map((value) => ({
          value,
          name: t(`shape.${value}`),
          label: <HairpinIcon shape={value} />,
        }))}
      />
      {shape !== 'steady' && mark('soft', soft)}
      {mark('loud', loud)}
    </>
  );
}
