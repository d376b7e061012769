import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useEffectEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCountdown } from '../../session/index.ts';
import { ActionButton } from '../../ui/index.ts';

/** Time to take up the horn and to see what comes. */
const READY_SECONDS = 8;

/** Before a line of the sheet that a button would begin: it begins by itself, unless the player wants to wait. */
export function SheetStart({ onBegin }: { onBegin(): void }) {
  const { t } = useTranslation();
  const [waits, setWaits] = useState(false);
  const left = useCountdown(READY_SECONDS, !waits);
  const begin = useEffectEvent(onBegin);
  useEffect(() => {
    if (left === 0 && !waits) begin();
  }, [left, waits]);
  if (waits) return null;
  return (
    <Flex gap="5" alignItems="center" wrap="wrap" mb="2" data-testid="sheet-start">
      <Box fontFamily="heading" fontSize="large">
        {t('today.beginsIn', { seconds: left ?? READY_SECONDS })}
      </Box>
      <ActionButton look="plain" onClick={() => setWaits(true)}>
        {t('today.wait')}
      </ActionButton>
    </Flex>
  );
}
