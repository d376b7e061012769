import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../../storage/index.ts';
import { ActionButton, NumberField } from '../../ui/index.ts';

interface CapFieldsProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
}

const STEP_MINUTES = 5;
const MOST_MINUTES = 120;

/** How many minutes of high and of loud playing a day the player wants to be reminded at. */
export function CapFields({ settings: { caps }, onChange }: CapFieldsProps) {
  const { t } = useTranslation();
  const field = (name: keyof typeof caps) => {
    const label = t(`playingLoad.${name}`);
    const cap = caps[name];
    const set = (minutes: number | null) => onChange({ caps: { ...caps, [name]: minutes } });
    return (
      <NumberField
        key={name}
        label={label}
        value={cap}
        min={0}
        max={MOST_MINUTES}
        step={STEP_MINUTES}
        unit={cap === null ? t('playingLoad.noCap') : t('playingLoad.minutesUnit')}
        // No minute at all is no limit.
        onChange={(minutes) => set(minutes === 0 ? null : minutes)}
        onClear={() => set(null)}
      />
    );
  };
  return (
    <>
      {field('highMinutes')}
      {field('loudMinutes')}
      {(caps.highMinutes ?? caps.loudMinutes) !== null && (
        <ActionButton
          look="plain"
          alignSelf="flex-end"
          onClick={() => onChange({ caps: { highMinutes: null, loudMinutes: null } })}
        >
          {t('playingLoad.none')}
        </ActionButton>
      )}
    </>
  );
}
