import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import { ActionLink } from '../ui/index.ts';
import { stopAddress, stopOf, TOUR } from './tour.ts';

/** What one sees at a stop of the tour, and the ways on, back and out. */
export function TourBar() {
  const { t } = useTranslation();
  const { pathname, search } = useLocation();
  const stop = stopOf(search);
  if (stop === null) return null;
  const isLast = stop === TOUR.length - 1;
  return (
    <Box
      as="aside"
      aria-label={t('tour.name')}
      data-testid="tour"
      mb="5"
      px="4"
      py="3"
      bg="cane"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor="brass"
    >
      <Box color="muted" fontSize="small">
        {t('tour.stop', { stop: stop + 1, of: TOUR.length })}
      </Box>
      <Box maxW="prose">{t(`tour.stops.${TOUR[stop].name}`)}</Box>
      <Flex gap="5" wrap="wrap" alignItems="center">
        <ActionLink look="plain" to={isLast ? '/today' : stopAddress(stop + 1)}>
          {t(isLast ? 'tour.end' : 'tour.next')}
        </ActionLink>
        {stop > 0 && (
          <ActionLink look="plain" to={stopAddress(stop - 1)}>
            {t('tour.back')}
          </ActionLink>
        )}
        {!isLast && (
          <ActionLink look="plain" to={pathname}>
            {t('tour.leave')}
          </ActionLink>
        )}
      </Flex>
    </Box>
  );
}
