import { Box, Flex } from '@chakra-ui/react';
import { dueCautions, type Caution, type Exercise } from '@inner-hum/core/exercise';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton } from '../../ui/index.ts';

interface CautionLineProps {
  exercise: Exercise;
  readAt: Partial<Record<Caution, number>>;
  /** Whoever plays has seen what stood there. */
  playing: boolean;
}

/** Cautions that this exercise calls for and that are still to be read: calmly, once, those of ear and throat once a day. */
export function CautionLine({ exercise, readAt, playing }: CautionLineProps) {
  const { t } = useTranslation();
  const due = useMemo(() => dueCautions(exercise, readAt, Date.now()), [exercise, readAt]);
  const [read, setRead] = useState<readonly Caution[]>([]);
  const unread = due.filter((name) => !read.includes(name));
  const keepRead = () => {
    const now = Date.now();
    const seen = Object.fromEntries(due.map((name) => [name, now]));
    if (due.length > 0) void changeSettings({ cautionsReadAt: { ...readAt, ...seen } });
    setRead(due);
  };
  const keepReadByPlaying = useEffectEvent(keepRead);
  // Kept when the playing ends: settings that change in the middle of a take are drawn anew by the whole page.
  useEffect(() => (playing ? () => keepReadByPlaying() : undefined), [playing]);
  if (unread.length === 0) return null;
  return (
    <Flex
      as="aside"
      aria-label={t('caution.title')}
      gap="5"
      alignItems="center"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor="brass"
      pl="4"
      py="1"
      wrap="nowrap"
    >
      <Box as="ul" flex="1">
        {unread.map((name) => (
          <li key={name}>{t(`care.${name}`)}</li>
        ))}
      </Box>
      <ActionButton onClick={keepRead}>{t('caution.read')}</ActionButton>
    </Flex>
  );
}
