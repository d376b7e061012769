import { Box, Flex } from '@chakra-ui/react';
import type { Gate } from '@inner-hum/core/exercise';
import type { GateState } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../../ui/index.ts';

interface NotYetLinesProps {
  shut: readonly GateState[];
  onOpen(gate: Gate): void;
}

/** What does not come onto the sheet yet, what it waits for and how far that is; whoever wants it now opens it. */
export function NotYetLines({ shut, onOpen }: NotYetLinesProps) {
  const { t } = useTranslation();
  if (shut.length === 0) return null;
  return (
    <Box as="details" mt="5" data-testid="not-yet">
      <Box as="summary" minH="touch" cursor="pointer" display="list-item" pt="2">
        {t('today.notYet')}
      </Box>
      {shut.map(({ gate, right, of, wanted }) => (
        <Flex key={gate} gap="4" wrap="wrap" alignItems="baseline" maxW="prose" py="1">
          <Box flex="1" minW="column">
            {t(`today.gate.${gate}`, { wanted: wanted.right, of: wanted.of })}{' '}
            <Box as="span" color="muted">
              {of === 0 ? t('today.gateNone') : t('today.gateNow', { right, of })}
            </Box>
          </Box>
          <ActionButton look="plain" onClick={() => onOpen(gate)}>
            {t('today.openNow')}
          </ActionButton>
        </Flex>
      ))}
    </Box>
  );
}
