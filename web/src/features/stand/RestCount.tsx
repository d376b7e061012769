import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSession } from '../../session/index.ts';

/** How long the rest still lasts, by the audio clock. Not read out: the beat says when it is over. */
export function RestCount({ until }: { until: number }) {
  const { t } = useTranslation();
  const { desk } = useSession();
  const [seconds, setSeconds] = useState(() => until - desk.now());
  useEffect(() => {
    const timer = setInterval(() => setSeconds(until - desk.now()), 200);
    return () => clearInterval(timer);
  }, [until, desk]);
  return (
    <Box fontFamily="heading" fontSize={{ base: 'title', md: 'next' }} lineHeight="1.1" aria-hidden="true">
      {t('drill.restUntil', { seconds: Math.max(0, Math.ceil(seconds)) })}
    </Box>
  );
}
