import { Box } from '@chakra-ui/react';
import { buildSwell, DEFAULT_SCALE, targetFraction } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { pitchTarget } from '@inner-hum/core/judge';
import { playExercise, WARM_UP } from '@inner-hum/core/standin';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { InkTrack, RibbonPicture } from '../../ribbon/index.ts';

const HEIGHT = 190;
const SECONDS = 4;

/** A swell as the stand-in plays it, heard by the real listener: the ribbon a visitor is about to make. */
function hearASwell(): InkTrack {
  const exercise = buildSwell({
    note: writtenMidi(67),
    shape: 'growFade',
    beats: SECONDS,
    tempoBpm: 60,
    start: 'playToStart',
  });
  const context = { exercise, hornId: 'alto', a4Hz: 440, scale: DEFAULT_SCALE } as const;
  const profile = { ...WARM_UP, bendCentsPer10Db: -13, responseMs: 0 };
  const { samples } = playExercise({
    ...context,
    profile,
    sampleRateHz: 24000,
    seed: 11,
    leadSeconds: 0,
    tailSeconds: 0.1,
  });
  const ink = new InkTrack({
    scale: DEFAULT_SCALE,
    a4Hz: 440,
    note: pitchTarget(exercise.items[0], 'alto', 440),
    wantedAt: (seconds) => (seconds > SECONDS ? null : targetFraction(exercise.items[0], seconds)),
  });
  ink.follow(listenTo(samples, 24000));
  return ink;
}

export function WelcomeRibbon() {
  const { t } = useTranslation();
  const [ink, setInk] = useState<InkTrack | null>(null);
  useEffect(() => {
    // After the first paint: the questions must not wait for the picture.
    const timer = setTimeout(() => setInk(hearASwell()), 30);
    return () => clearTimeout(timer);
  }, []);
  return (
    <Box h={`${HEIGHT}px`}>
      {ink && (
        <RibbonPicture
          ink={ink}
          fromSeconds={0}
          toSeconds={SECONDS}
          partial={1}
          height={HEIGHT}
          label={t('welcome.picture')}
        />
      )}
    </Box>
  );
}
