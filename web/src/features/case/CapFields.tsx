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
        less={t('option.less', { name: label })}
        more={t('option.more', { name: label })}
        onLess={() => set(cap === null || cap <= STEP_MINUTES ? null : cap - STEP_MINUTES)}
        onMore={() => set(Math.min(MOST_MINUTES, (cap ?? 0) + STEP_MINUTES))}
        shown={cap === null ? t('playingLoad.noCap') : t('playingLoad.minutes', { count: cap })}
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
