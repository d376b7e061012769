import { buildSwell, DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { FrameTrack, type FrameColumns } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { WARM_UP } from '@inner-hum/core/simulated';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { InkTrack, RibbonPicture, writtenInk } from '../../ribbon/index.ts';
import { useSession } from '../../session/index.ts';

const SECONDS = 4;

const exercise = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: SECONDS,
  tempoBpm: 60,
  start: 'playToStart',
});

/** A swell as the simulated player plays it, heard by the real listener: the ribbon a visitor is about to make. */
const REQUEST = {
  exercise,
  hornId: 'alto',
  a4Hz: 440,
  scale: DEFAULT_SCALE,
  profile: { ...WARM_UP, bendCentsPer10Db: -13, responseMs: 0 },
  sampleRateHz: 24000,
  seed: 11,
} as const;

function inkOf(columns: FrameColumns): InkTrack {
  const ink = new InkTrack(writtenInk(REQUEST, 0));
  ink.follow(FrameTrack.from(columns));
  return ink;
}

export default function WelcomeRibbon({ height }: { height: number }) {
  const { t } = useTranslation();
  const session = useSession();
  const [ink, setInk] = useState<InkTrack | null>(null);
  useEffect(() => {
    let here = true;
    void session.hearSimulated(REQUEST).then(({ columns }) => here && setInk(inkOf(columns)));
    return () => {
      here = false;
    };
  }, [session]);
  return (
    ink && (
      <RibbonPicture
        ink={ink}
        fromSeconds={0}
        toSeconds={SECONDS}
        height={height}
        label={t('welcome.picture')}
      />
    )
  );
}
