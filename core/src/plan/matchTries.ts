import { scoreOf } from '../exercise/index.ts';
import type { KeyId, WrittenMidi } from '../horn/index.ts';
import type { Profile, TakeAnalysis, TakeContext } from '../judge/index.ts';

/** One of two sounds of a pitch. */
export interface MatchSound {
  /** The written note whose fingering was held, or the keys themselves where they were others. */
  fingered: WrittenMidi;
  keys: readonly KeyId[] | null;
  profileDb: Profile;
  startSeconds: number;
  endSeconds: number;
}

/** Two sounds of one pitch, and how near they came. */
export interface MatchTry {
  sounding: WrittenMidi;
  first: MatchSound;
  second: MatchSound;
  matchDb: number | null;
  /** + is sharper, and brighter, than the first. */
  matchCents: number | null;
  matchCentroidHarmonics: number | null;
}

/** The matches of a judged take: every later sound against the first of its pitch. */
export function matchTries({ exercise }: Pick<TakeContext, 'exercise'>, { items }: TakeAnalysis): MatchTry[] {
  const score = scoreOf(exercise);
  const sounds = items.flatMap((item) => {
    const written = score.at(item.item)?.item;
    if (item.kind !== 'note' || written?.kind !== 'note' || !item.measures?.profileDb) return [];
    const sound: MatchSound = {
      fingered: written.fingered ?? written.writtenMidi,
      keys: written.keys ?? null,
      profileDb: item.measures.profileDb,
      startSeconds: item.startSeconds ?? 0,
      endSeconds: item.endSeconds ?? 0,
    };
    return [{ sound, sounding: written.writtenMidi, measures: item.measures }];
  });
  return sounds.flatMap(({ sound, sounding, measures }): MatchTry[] => {
    const { matchDb, matchCents, matchCentroidHarmonics } = measures;
    const first = sounds.find((other) => other.sounding === sounding);
    if (matchDb === undefined || !first || first.sound === sound) return [];
    return [
      {
        sounding,
        first: first.sound,
        second: sound,
        matchDb,
        matchCents: matchCents ?? null,
        matchCentroidHarmonics: matchCentroidHarmonics ?? null,
      },
    ];
  });
}
