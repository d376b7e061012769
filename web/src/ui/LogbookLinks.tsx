import { Flex } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';
import { ActionLink } from './ActionButton.tsx';

const PAGES = [
  { to: '/logbook', name: 'month' },
  { to: '/logbook/trends', name: 'trends' },
  { to: '/logbook/aims', name: 'aims' },
  { to: '/logbook/trials', name: 'trials' },
  { to: '/logbook/ear', name: 'ear' },
] as const;

/** The pages of the Logbook beside the one that is open. */
export function LogbookLinks() {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  return (
    <Flex as="nav" aria-label={t('rooms.logbook')} gap="4" wrap="wrap">
      {PAGES.filter(({ to }) => to !== pathname).map(({ to, name }) => (
        <ActionLink key={name} look="plain" to={to}>
          {t(`logbook.pages.${name}`)}
        </ActionLink>
      ))}
    </Flex>
  );
}
