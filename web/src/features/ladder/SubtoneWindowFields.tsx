import { Box, Flex } from '@chakra-ui/react';
import { SUBTONE_WINDOW, type SubtoneWindow } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import { ActionButton, NumberField } from '../../ui/index.ts';

interface SubtoneWindowFieldsProps {
  window: SubtoneWindow;
  onChange(window: SubtoneWindow): void;
}

const DB_STEP = 1;
const SHARE_STEP = 0.05;

/** What counts as a subtone, stated, and as the player's own ear would have it. */
export function SubtoneWindowFields({ window, onChange }: SubtoneWindowFieldsProps) {
  const { t } = useTranslation();
  const [least, most] = window.softerDb;
  const field = (
    name: 'leastAirier' | 'mostBreath' | 'leastSofter' | 'mostSofter' | 'mostBright',
    shown: string,
    move: (by: 1 | -1) => SubtoneWindow,
  ) => {
    const label = t(`subtone.${name}`);
    return (
      <NumberField
        label={label}
        less={t('option.less', { name: label })}
        more={t('option.more', { name: label })}
        onLess={() => onChange(move(-1))}
        onMore={() => onChange(move(1))}
        shown={shown}
      />
    );
  };
  const db = (value: number) => t('figure.db', { db: value });
  const within = (low: number, value: number, high: number) => Math.max(low, Math.min(high, value));
  return (
    <Box as="details" borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line" pt="3">
      <Box as="summary" cursor="pointer" minH="touch" fontFamily="heading" fontSize="medium">
        {t('subtone.whatCounts')}
      </Box>
      <Box color="muted" mb="2">
        {t('subtone.fromNowOn')}
      </Box>
      <Flex columnGap="6" rowGap="3" wrap="wrap">
        {field('leastAirier', db(window.leastAirierDb), (by) => ({
          ...window,
          leastAirierDb: within(1, window.leastAirierDb + by * DB_STEP, 20),
        }))}
        {field('leastSofter', db(least), (by) => ({
          ...window,
          softerDb: [within(0, least + by * DB_STEP, most - 1), most],
        }))}
        {field('mostSofter', db(most), (by) => ({
          ...window,
          softerDb: [least, within(least + 1, most + by * DB_STEP, 40)],
        }))}
        {field('mostBreath', db(window.mostBreathDb), (by) => ({
          ...window,
          mostBreathDb: within(-20, window.mostBreathDb + by * DB_STEP, 10),
        }))}
        {field(
          'mostBright',
          t('subtone.percent', { percent: Math.round(100 * window.mostBrightness) }),
          (by) => ({
            ...window,
            mostBrightness: within(0.3, Number((window.mostBrightness + by * SHARE_STEP).toFixed(2)), 1.2),
          }),
        )}
        <ActionButton look="plain" alignSelf="flex-end" onClick={() => onChange(SUBTONE_WINDOW)}>
          {t('subtone.usual')}
        </ActionButton>
      </Flex>
    </Box>
  );
}
