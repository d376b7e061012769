import { Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';

/** So long what was done can be undone, from the last time that somebody was near it. */
const UNDO_SECONDS = 10;

/** What was just taken away, and the way to have it back. It lies over the room and moves nothing; it waits while it is pointed at. Keyed by what was taken away: each has its own ten seconds. */
export function UndoBar({ text, onUndo }: { text: string; onUndo(): void }) {
  const { t } = useTranslation();
  const [isNear, setNear] = useState(false);
  const [isGone, setGone] = useState(false);
  useEffect(() => {
    if (isNear || isGone) return undefined;
    const timer = setTimeout(() => setGone(true), 1000 * UNDO_SECONDS);
    return () => clearTimeout(timer);
  }, [isNear, isGone]);
  return (
    <Flex
      role="status"
      display={isGone ? 'none' : 'flex'}
      onPointerEnter={() => setNear(true)}
      onPointerLeave={() => setNear(false)}
      onFocus={() => setNear(true)}
      onBlur={() => setNear(false)}
      position="fixed"
      bottom={{ base: '9', md: '5' }}
      left="0"
      right="0"
      mx="auto"
      w="fit-content"
      maxW="full"
      zIndex="2"
      alignItems="center"
      gap="4"
      bg="cane"
      px="4"
      py="1"
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="brass"
    >
      {text}
      <ActionButton look="plain" onClick={onUndo}>
        {t('takes.undo')}
      </ActionButton>
    </Flex>
  );
}
