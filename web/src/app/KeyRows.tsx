import { Box, Flex, Heading } from '@chakra-ui/react';
import { CAUTIONS } from '@inner-hum/core/exercise';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord } from '../storage/index.ts';
import { ActionButton, ActionLink, Key } from '../ui/index.ts';
import { keysOfRoom } from './keysOfRoom.ts';
import { isDemo } from './mode.ts';
import { stopAddress } from './tour.ts';

interface KeyRowsProps {
  pathname: string;
  settings: SettingsRecord;
  onClose(): void;
}

/** The keys of a room, and, on the Stand, the cautions once more. */
export default function KeyRows({ pathname, settings, onClose }: KeyRowsProps) {
  const { t } = useTranslation();
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => panel.current?.focus(), []);
  const isStand = pathname.startsWith('/stand/');
  return (
    <Box
      ref={panel}
      role="dialog"
      aria-label={t('keys.title')}
      tabIndex={-1}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        // Escape closes what was opened last, and does not leave the room behind it.
        event.stopPropagation();
        event.nativeEvent.stopImmediatePropagation();
        onClose();
      }}
      position="fixed"
      right="5"
      bottom="5"
      zIndex="3"
      maxW="prose"
      maxH="90dvh"
      overflowY="auto"
      bg="paper"
      px="6"
      py="4"
      borderWidth="2px"
      borderStyle="solid"
      borderColor="brass"
    >
      <Flex justifyContent="space-between" alignItems="center" gap="5" mb="2">
        <Heading as="h2" fontFamily="heading" fontSize="large">
          {t('keys.title')}
        </Heading>
        <ActionButton look="plain" onClick={onClose}>
          {t('keys.close')} <Key>esc</Key>
        </ActionButton>
      </Flex>
      {isDemo && (
        <Box mb="3">
          <ActionLink look="plain" to={stopAddress(0)}>
            {t('tour.begin')}
          </ActionLink>
        </Box>
      )}
      <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="5" rowGap="1">
        {keysOfRoom(pathname, settings).map(({ keys, does }) => (
          <Box key={does} display="contents">
            <Flex as="dt" gap="1" justifyContent="flex-end">
              {keys.map((key) => (
                <Key key={key}>{key}</Key>
              ))}
            </Flex>
            <dd>
              {does in settings.keys
                ? t(`keyName.${does as keyof typeof settings.keys}`)
                : t(`keys.does.${does as 'find'}`)}
            </dd>
          </Box>
        ))}
      </Box>
      {isStand && (
        <Box as="ul" color="muted" fontSize="small" mt="3">
          {CAUTIONS.map((name) => (
            <li key={name}>{t(`care.${name}`)}</li>
          ))}
        </Box>
      )}
    </Box>
  );
}
