import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { agreedDb, evenLevelMoves } from './evenLevel.ts';
import { levelCurve, type LevelCurve } from './levelCurve.ts';
import type { NoteTrack } from './noteTrack.ts';
import { partialsApartDb } from './partialsApart.ts';
import { peakOffsetBeats, swellError, wrongWayPercent } from './swellMeasures.ts';

/** From here on the level of a tone is asked of its partials too. */
const LEAST_DOUBT_DB = 1;

/** How the level of a note went, told twice: by the whole of it, and by its partials alike. */
export interface LevelOpinions {
  whole: LevelCurve;
  /** From its own middle; null where there is no doubt, and where partials do not stand out. */
  even: LevelCurve | null;
  /** How far its partials move apart, dB: so uncertain is how its level goes. 0 where they do not stand out. */
  doubtDb: number;
}

/** Where a note is laid in its exercise. */
export interface Laid {
  beatZeroSeconds: number;
  secondsPerBeat: number;
  lengthBeats: number;
}

/** Both opinions of the level of a note; `rings`: in a room that does. */
export function levelOpinions(
  track: FrameTrack,
  { timeSeconds }: NoteTrack,
  whole: LevelCurve,
  { beatZeroSeconds, secondsPerBeat, lengthBeats }: Laid,
  rings: boolean,
): LevelOpinions {
  if (timeSeconds.length === 0) return { whole, even: null, doubtDb: 0 };
  const first = Math.round(timeSeconds[0] / FRAME_SECONDS);
  const doubtDb = partialsApartDb(track, first, timeSeconds.length) ?? 0;
  const levelDb =
    rings || doubtDb >= LEAST_DOUBT_DB ? evenLevelMoves(track, first, timeSeconds.length) : null;
  const even =
    levelDb && levelCurve({ timeSeconds, levelDb }, beatZeroSeconds, secondsPerBeat, lengthBeats, () => 0);
  return { whole, even, doubtDb };
}

/** A level goes back where the whole of it does and its partials alike do, farther than they leave uncertain. */
export function agreedWrongWayPercent(
  { whole, even, doubtDb }: LevelOpinions,
  shape: 'growFade' | 'grow' | 'fade',
): number | null {
  const percent = wrongWayPercent(whole, shape, doubtDb);
  const other = even && wrongWayPercent(even, shape, doubtDb);
  return percent === null || other === null ? percent : Math.min(percent, other);
}

/** The loudest moment is late or early where the whole of it is and its partials alike are, and by no more than either says. */
export function agreedPeakBeats({ whole, even, doubtDb }: LevelOpinions, turnBeat: number): number | null {
  const offset = peakOffsetBeats(whole, turnBeat, doubtDb);
  return offset === null ? null : agreedDb(offset, even && peakOffsetBeats(even, turnBeat, doubtDb));
}

/** A steady tone is as uneven as the whole of it, or its partials alike: whichever moves less. */
export function agreedSteadinessDb({ even }: LevelOpinions, rmsDb: number): number {
  return Math.min(rmsDb, (even && swellError(even)?.rmsDb) ?? rmsDb);
}
