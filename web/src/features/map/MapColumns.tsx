import { Box, Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { AdviceLines } from './AdviceLines.tsx';
import { FindingLines } from './FindingLines.tsx';
import { RunLines } from './RunLines.tsx';
import { StandingLines } from './StandingLines.tsx';
import type { HornMap } from './useHornMap.ts';

interface MapColumnsProps {
  data: HornMap;
  shift: number;
  onLook(note: number): void;
}

/** What the whole map says, in four short answers. */
export function MapColumns({ data, shift, onLook }: MapColumnsProps) {
  const { t } = useTranslation();
  return (
    <Flex
      mt="5"
      columnGap="7"
      rowGap="5"
      wrap="wrap"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
      pt="4"
    >
      <Column title={t('map.sticksOut')}>
        <StandingLines data={data} shift={shift} onLook={onLook} />
      </Column>
      <Column title={t('map.mouthpiece')}>
        <AdviceLines data={data} />
      </Column>
      <Column title={t('map.toLookInto')}>
        <FindingLines data={data} />
      </Column>
      <Column title={t('map.uncertain')}>
        <RunLines data={data} shift={shift} />
      </Column>
    </Flex>
  );
}

function Column({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box flex="1" minW="quarter" maxW="list">
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}
