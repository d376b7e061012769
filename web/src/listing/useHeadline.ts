import { playedPhrases } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useLiveQuery } from 'dexie-react-hooks';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { headlineText, type JudgedTake } from '../notation/index.ts';
import { pastOf, type RoundRecord, type TakeRecord } from '../storage/index.ts';

/** Takes of a round as its headline reads them: the second half of a comparison comes after what is compared. */
const inRound = (takes: readonly TakeRecord[], round: RoundRecord | null): readonly JudgedTake[] => {
  if (!round) return takes;
  const half = playedPhrases(round.exercise).length / 2;
  return takes.map((take) => ({ ...take, isAfter: take.phrase >= half }));
};

/** The answer of takes of one drill, compared with what was played before them; '' where nothing was judged. */
export async function readHeadline(
  takes: readonly TakeRecord[],
  naming: NoteNaming,
  t: TFunction,
  round: RoundRecord | null = null,
): Promise<string> {
  return headlineText(inRound(takes, round), await pastOf(takes), naming, t);
}

/** The same, for what is shown; undefined until it is known. */
export function useHeadline(
  takes: readonly TakeRecord[],
  naming: NoteNaming,
  round: RoundRecord | null = null,
): string | undefined {
  const { t } = useTranslation();
  const ids = takes.map(({ id }) => id).join();
  return useLiveQuery(() => readHeadline(takes, naming, t, round), [ids, naming, t, round?.id]);
}
