import { dayOf } from '../../storage/index.ts';
import { Box, Flex, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { Milestone } from '@inner-hum/core/practice';
import { useTranslation } from 'react-i18next';
import { ActionLink } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { dayAddress } from './logbookAddress.ts';
import { milestoneText } from './milestoneText.ts';

interface MilestoneLinesProps {
  milestones: readonly Milestone[];
  naming: NoteNaming;
  /** Without the day, where that is plain. */
  ofOneDay?: boolean;
}

/** What was reached, newest first. */
export function MilestoneLines({ milestones, naming, ofOneDay = false }: MilestoneLinesProps) {
  const { t } = useTranslation();
  if (milestones.length === 0) return null;
  return (
    <Box as="section" mt="6" data-testid="milestones">
      <Heading as="h2" fontSize="large" mb="2">
        {t('logbook.reachedTitle')}
      </Heading>
      <Box as="ul">
        {milestones.map((milestone, i) => (
          <Flex as="li" key={i} gap="4" alignItems="baseline" wrap={{ base: 'wrap', md: 'nowrap' }} py="1">
            {!ofOneDay && (
              <ActionLink
                look="plain"
                justifyContent="flex-start"
                minW="field"
                to={dayAddress(dayOf(milestone.at))}
              >
                {dateText(milestone.at, 'day')}
              </ActionLink>
            )}
            <Box>{milestoneText(milestone, naming, t)}</Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
