import type { HornId } from '@inner-hum/core/horn';
import type { Gear } from './gearRecords.ts';
import type { SettingsRecord } from './settingsRecord.ts';

/** The mouthpiece that a horn has before any is named. */
export const firstMouthpiece = (hornId: HornId) => `${hornId}.first`;

/** The mouthpiece on the horn that is played. */
export function mouthpieceOf({
  hornId,
  mouthpieceIds,
}: Pick<SettingsRecord, 'hornId' | 'mouthpieceIds'>): string {
  return mouthpieceIds[hornId] ?? firstMouthpiece(hornId);
}

/** Mouthpiece and reed on the horn that is played. */
export function gearOf(
  settings: Pick<SettingsRecord, 'hornId' | 'mouthpieceIds' | 'reedKinds' | 'reedIds'>,
): Gear {
  const { hornId, reedKinds, reedIds } = settings;
  return {
    mouthpieceId: mouthpieceOf(settings),
    reedKind: reedKinds[hornId] ?? '',
    reedId: reedIds[hornId] ?? '',
  };
}

/** What a map belongs to: any reed of a kind is as good as another. */
type Setup = Pick<Gear, 'mouthpieceId' | 'reedKind'>;

const SEPARATOR = '|';

/** A set-up as one word: a map belongs to one. */
export const setupKey = ({ mouthpieceId, reedKind }: Setup) => `${mouthpieceId}${SEPARATOR}${reedKind}`;

/** Such a word read. */
export function readSetupKey(key: string): Setup {
  const [mouthpieceId, ...reed] = key.split(SEPARATOR);
  return { mouthpieceId, reedKind: reed.join(SEPARATOR) };
}
