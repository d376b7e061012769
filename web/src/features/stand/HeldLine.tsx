import { Box } from '@chakra-ui/react';
import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSession } from '../../session/index.ts';
import { decimals } from '../../words/index.ts';

const EVERY_MS = 100;

/** In the player's own time: for how long the present note has been held, and whether it is clear. Seen, never said. */
export function HeldLine({ isOn }: { /** A take is played. */ isOn: boolean }) {
  const { t } = useTranslation();
  const { live } = useSession();
  const [held, setHeld] = useState<{ tenths: number; isClear: boolean } | null>(null);
  useEffect(() => {
    if (!isOn) return undefined;
    const timer = setInterval(() => {
      const place = live.follower?.place;
      const began = place?.began.at(-1);
      setHeld((before) => {
        if (!place || began === undefined || began === null) return null;
        const tenths = Math.max(0, Math.round((place.lastFrame + 1 - began) * FRAME_SECONDS * 10));
        const isClear = place.clearFrame !== null;
        return before?.tenths === tenths && before.isClear === isClear ? before : { tenths, isClear };
      });
    }, EVERY_MS);
    return () => {
      clearInterval(timer);
      setHeld(null);
    };
  }, [isOn, live]);
  return (
    <Box w={{ md: 'noteColumn' }} lineHeight="1.15" aria-hidden="true" data-testid="held">
      <Box fontSize="beat" whiteSpace="nowrap">
        {held && t('line.seconds', { seconds: decimals(held.tenths / 10, 1) })}
      </Box>
      {/* Its place is kept, so that nothing jumps. */}
      <Box fontSize="large" style={{ visibility: held?.isClear ? 'visible' : 'hidden' }}>
        {held && t('drill.clear')}
      </Box>
    </Box>
  );
}
