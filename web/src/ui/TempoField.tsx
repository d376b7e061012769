import { chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHotkeys } from 'react-hotkeys-hook';
import { ActionButton } from './ActionButton.tsx';
import { Key } from './Key.tsx';
import { NumberField } from './NumberField.tsx';
import { tappedTempo, withTap } from './tappedTempo.ts';

/** Once begun, a pedal taps too; after so long without a tap it starts again. */
const TAPS_END_MS = 2500;
const NO_KEY = 'f13';

interface TempoFieldProps {
  tempoBpm: number;
  min: number;
  max: number;
  /** The key that taps; null: none. */
  tapKey?: string | null;
  onChange(tempoBpm: number): void;
}

/** A tempo: stepped, held, typed, or tapped: with the button, with its key, and, once begun, with the pedal. */
export function TempoField({ tempoBpm, min, max, tapKey = null, onChange }: TempoFieldProps) {
  const { t } = useTranslation();
  const taps = useRef<number[]>([]);
  const over = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [isTapping, setTapping] = useState(false);
  const tap = () => {
    taps.current = withTap(taps.current, performance.now());
    const bpm = tappedTempo(taps.current);
    if (bpm !== null) onChange(Math.max(min, Math.min(max, bpm)));
    setTapping(true);
    clearTimeout(over.current);
    over.current = setTimeout(() => setTapping(false), TAPS_END_MS);
  };
  const byKey = (event: KeyboardEvent) => {
    event.preventDefault();
    event.stopImmediatePropagation();
    tap();
  };
  useHotkeys(tapKey ?? NO_KEY, byKey, { enabled: tapKey !== null });
  return (
    <NumberField
      label={t('free.tempo')}
      value={tempoBpm}
      min={min}
      max={max}
      less={t('free.slower')}
      more={t('free.faster')}
      onChange={onChange}
      beside={
        <>
          {isTapping && <PedalTaps onTap={byKey} />}
          <ActionButton
            look="plain"
            onPointerDown={tap}
            onKeyDown={(event) => event.key === 'Enter' && tap()}
          >
            {t('free.tap')} {tapKey !== null && <Key>{tapKey}</Key>}
            <chakra.span role="status" srOnly>
              {isTapping ? t('free.tapping') : ''}
            </chakra.span>
          </ActionButton>
        </>
      }
    />
  );
}

/** While taps are counted the pedals and the space bar tap too, before the Stand hears them. */
function PedalTaps({ onTap }: { onTap(event: KeyboardEvent): void }) {
  useHotkeys('space, pagedown, pageup', onTap, { eventListenerOptions: { capture: true } });
  return null;
}
