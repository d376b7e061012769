import { KEYS, type Fingering, type KeyId } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { DIAGRAM_HEIGHT, DIAGRAM_WIDTH, KEY_SHAPES, MAIN_KEYS, type KeyShape } from './fingeringShapes.ts';

interface FingeringDiagramProps {
  fingering: Fingering;
  /** Of the drawing, in CSS pixels. */
  height: number;
  /** Pressed or let go by clicking; absent: only shown. */
  onToggle?(key: KeyId): void;
}

/** A fingering in words: "octave key, left 1, left 2", or all open. */
export function fingeringText(fingering: Fingering, t: TFunction): string {
  if (fingering.length === 0) return t('fingering.open');
  return fingering.map((key) => t(`key.${key}`)).join(', ');
}

/** The keys of the horn as the player sees them: pressed ones are inked, the six main ones always there, others when pressed. */
export function FingeringDiagram({ fingering, height, onToggle }: FingeringDiagramProps) {
  const { t } = useTranslation();
  const shown = onToggle ? KEYS : KEYS.filter((key) => MAIN_KEYS.includes(key) || fingering.includes(key));
  return (
    <svg
      viewBox={`0 0 ${DIAGRAM_WIDTH} ${DIAGRAM_HEIGHT}`}
      height={height}
      width={(height * DIAGRAM_WIDTH) / DIAGRAM_HEIGHT}
      role={onToggle ? 'group' : 'img'}
      aria-label={fingeringText(fingering, t)}
      style={{ flexShrink: 0 }}
    >
      <path d="M20 82H40" stroke="currentColor" strokeOpacity={0.35} strokeWidth={1.5} aria-hidden="true" />
      {shown.map((key) => {
        const isPressed = fingering.includes(key);
        const drawn = (
          <DrawnKey shape={KEY_SHAPES[key]} isPressed={isPressed} isFaint={!MAIN_KEYS.includes(key)} />
        );
        if (!onToggle) return <g key={key}>{drawn}</g>;
        return (
          <g
            key={key}
            role="checkbox"
            aria-checked={isPressed}
            aria-label={t(`key.${key}`)}
            tabIndex={0}
            style={{ cursor: 'pointer' }}
            onClick={() => onToggle(key)}
            onKeyDown={(event) => {
              if (event.key !== ' ' && event.key !== 'Enter') return;
              event.preventDefault();
              onToggle(key);
            }}
          >
            <title>{t(`key.${key}`)}</title>
            {drawn}
          </g>
        );
      })}
    </svg>
  );
}

function DrawnKey({ shape, isPressed, isFaint }: { shape: KeyShape; isPressed: boolean; isFaint: boolean }) {
  const look = {
    // What is not filled is still to be hit by a finger or a mouse.
    fill: isPressed ? 'currentColor' : 'transparent',
    stroke: 'currentColor',
    strokeOpacity: isPressed || !isFaint ? 1 : 0.45,
    strokeWidth: 1.8,
  };
  if (shape.kind === 'pearl') return <circle cx={shape.x} cy={shape.y} r={shape.r} {...look} />;
  if (shape.kind === 'bar')
    return <rect x={shape.x} y={shape.y} width={shape.width} height={shape.height} rx={2.5} {...look} />;
  return (
    <ellipse
      cx={shape.x}
      cy={shape.y}
      rx={4}
      ry={6}
      transform={`rotate(${shape.turn} ${shape.x} ${shape.y})`}
      {...look}
    />
  );
}
