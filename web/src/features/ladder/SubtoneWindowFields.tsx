import { Box, Flex } from '@chakra-ui/react';
import { SUBTONE_WINDOW, type SubtoneWindow } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import { ActionButton, NumberField } from '../../ui/index.ts';

interface SubtoneWindowFieldsProps {
  window: SubtoneWindow;
  onChange(window: SubtoneWindow): void;
}

const DB_STEP = 1;
const PERCENT_STEP = 5;

/** What counts as a subtone, stated, and as the player's own ear would have it. */
export function SubtoneWindowFields({ window, onChange }: SubtoneWindowFieldsProps) {
  const { t } = useTranslation();
  const [least, most] = window.softerDb;
  const field = (
    name: 'leastAirier' | 'mostBreath' | 'leastSofter' | 'mostSofter' | 'mostBright',
    [min, max]: readonly [number, number],
    value: number,
    changed: (value: number) => Partial<SubtoneWindow>,
    step = DB_STEP,
    unit = t('subtone.db'),
  ) => (
    <NumberField
      label={t(`subtone.${name}`)}
      value={value}
      min={min}
      max={max}
      step={step}
      unit={unit}
      onChange={(next) => onChange({ ...window, ...changed(next) })}
    />
  );
  return (
    <Box as="details" borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line" pt="3">
      <Box as="summary" cursor="pointer" minH="touch" fontFamily="heading" fontSize="medium">
        {t('subtone.whatCounts')}
      </Box>
      <Box color="muted" mb="2">
        {t('subtone.fromNowOn')}
      </Box>
      <Flex columnGap="6" rowGap="3" wrap="wrap">
        {field('leastAirier', [1, 20], window.leastAirierDb, (leastAirierDb) => ({ leastAirierDb }))}
        {field('leastSofter', [0, most - 1], least, (next) => ({ softerDb: [next, most] }))}
        {field('mostSofter', [least + 1, 40], most, (next) => ({ softerDb: [least, next] }))}
        {field('mostBreath', [-20, 10], window.mostBreathDb, (mostBreathDb) => ({ mostBreathDb }))}
        {field(
          'mostBright',
          [30, 120],
          Math.round(100 * window.mostBrightness),
          (percent) => ({ mostBrightness: percent / 100 }),
          PERCENT_STEP,
          '%',
        )}
        <ActionButton look="plain" alignSelf="flex-end" onClick={() => onChange(SUBTONE_WINDOW)}>
          {t('subtone.usual')}
        </ActionButton>
      </Flex>
    </Box>
  );
}
