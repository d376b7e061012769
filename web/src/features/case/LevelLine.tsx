import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useSession } from '../../session/index.ts';

const LOWEST_DB = -80;

/** What the microphone hears now, as a line that grows: proof that it listens. */
export function LevelLine() {
  const { live } = useSession();
  const line = useRef<HTMLDivElement>(null);
  useEffect(() => {
    let request = 0;
    const paint = () => {
      request = requestAnimationFrame(paint);
      const level = live.track.columns.levelDb[live.track.count - 1] ?? LOWEST_DB;
      const share = Math.max(0, Math.min(1, 1 - level / LOWEST_DB));
      if (line.current) line.current.style.transform = `scaleX(${share})`;
    };
    paint();
    return () => cancelAnimationFrame(request);
  }, [live]);
  return (
    <Box ref={line} className="solid-line" aria-hidden="true" h="2" bg="ink" mt="6" transformOrigin="left" />
  );
}
