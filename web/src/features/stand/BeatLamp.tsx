import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { barSounds } from '../../audio/index.ts';
import { useSession } from '../../session/index.ts';

/** The beat as a number readable across a room, paling until the next one. Motion here is the time itself. */
export function BeatLamp({ shown }: { shown: boolean }) {
  const { metronome, desk } = useSession();
  const number = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!shown) return undefined;
    let request = 0;
    const paint = () => {
      request = requestAnimationFrame(paint);
      const element = number.current;
      const { pulse } = metronome;
      if (!element) return;
      const beat = pulse
        ? (desk.now() - desk.outputLatencySeconds() - pulse.zeroSeconds) / pulse.secondsPerBeat
        : -1;
      const text =
        pulse && beat >= 0 && barSounds(pulse, beat)
          ? String((Math.floor(beat) % pulse.beatsPerBar) + 1)
          : '';
      if (element.textContent !== text) element.textContent = text;
      element.style.opacity = String(1 - 0.7 * (beat - Math.floor(beat)));
    };
    paint();
    return () => cancelAnimationFrame(request);
  }, [shown, metronome, desk]);
  return (
    <Box
      ref={number}
      aria-hidden="true"
      fontSize="beat"
      fontWeight="700"
      lineHeight="1"
      minW="touch"
      minH="beat"
    />
  );
}
