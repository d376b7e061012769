import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';

const OCTAVE = 12;

/** A note or a phrase an octave down or up. */
export function OctaveButtons({ onMove }: { onMove(halfSteps: number): void }) {
  const { t } = useTranslation();
  return (
    <>
      <ActionButton look="plain" onClick={() => onMove(-OCTAVE)}>
        {t('builder.octaveDown')}
      </ActionButton>
      <ActionButton look="plain" onClick={() => onMove(OCTAVE)}>
        {t('builder.octaveUp')}
      </ActionButton>
    </>
  );
}
