import { startOfToday } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { playingLoadSince, type SettingsRecord } from '../storage/index.ts';
import { decimals } from '../words/index.ts';

/** Nearer than this share to a limit is worth a word before one plays. */
const NEAR = 0.7;

/** Today's minutes of one kind against the player's own limit. */
export interface Measured {
  minutes: number;
  cap: number;
  isNear: boolean;
  isOver: boolean;
  text: string;
}

export interface PlayingLoadToday {
  /** Null where no limit is set. */
  high: Measured | null;
  loud: Measured | null;
}

function measured(seconds: number, cap: number | null, kind: 'high' | 'loud', t: TFunction): Measured | null {
  if (cap === null) return null;
  const minutes = seconds / 60;
  return {
    minutes,
    cap,
    isNear: minutes >= NEAR * cap,
    isOver: minutes >= cap,
    text: t(`playingLoad.${kind}`, { minutes: decimals(minutes, 1), cap }),
  };
}

/** What was played high and loud today, of whoever plays now, against the player's limits; null while it is read. */
export function usePlayingLoadToday(settings: SettingsRecord | undefined): PlayingLoadToday | null {
  const { t } = useTranslation();
  const source = settings?.source;
  // The day is asked for with every take that comes: practice may go on past midnight.
  const playingLoad = useLiveQuery(
    () => (source ? playingLoadSince(startOfToday().getTime(), source) : undefined),
    [source],
  );
  if (!settings || !playingLoad) return null;
  const { highMinutes, loudMinutes } = settings.caps;
  return {
    high: measured(playingLoad.highSeconds, highMinutes, 'high', t),
    loud: measured(playingLoad.loudSeconds, loudMinutes, 'loud', t),
  };
}
