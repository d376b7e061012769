import { useEffect, useEffectEvent } from 'react';

/** What a file that is given to the app is for: exercises and scores, takes, or everything the player has. */
export type GivenKind = 'exercises' | 'sound' | 'archive';

/** The room that takes each kind. */
export const ROOM_OF: Record<GivenKind, string> = {
  exercises: '/shelf',
  sound: '/takes',
  archive: '/case/keeping',
};

const BY_NAME: readonly [RegExp, GivenKind][] = [
  [/\.(json|musicxml|xml|mxl|midi?)$/i, 'exercises'],
  [/\.(wav|flac|mp3|ogg|opus|m4a|aac|aiff?|webm)$/i, 'sound'],
  [/\.zip$/i, 'archive'],
];

/** What a file is for, by its name and else by the type the system gives it; null where the app has no use for it. */
export function kindOfFile({ name, type }: Pick<File, 'name' | 'type'>): GivenKind | null {
  const named = BY_NAME.find(([ending]) => ending.test(name));
  if (named) return named[1];
  if (type.startsWith('audio/')) return /midi?$/.test(type) ? 'exercises' : 'sound';
  if (type === 'application/zip' || type === 'application/x-zip-compressed') return 'archive';
  if (/^application\/(json|xml|vnd\.recordare\.musicxml(\+xml)?)$|^text\/xml$/.test(type)) return 'exercises';
  return null;
}

/** Of files given at once, those of the kind of the first that has one. */
export function filesToTake(files: readonly File[]): { kind: GivenKind; files: File[] } | null {
  const kind = files.map(kindOfFile).find((each) => each !== null);
  return kind ? { kind, files: files.filter((file) => kindOfFile(file) === kind) } : null;
}

const waiting = new Map<GivenKind, File[]>();
const takers = new Map<GivenKind, (files: File[]) => void>();

/** Lays files where the room that takes them finds them: at once where it is open, else when it is entered. */
export function giveFiles(kind: GivenKind, files: File[]): void {
  const taker = takers.get(kind);
  if (taker) taker(files);
  else waiting.set(kind, files);
}

/** Takes files of a kind that were dropped, opened or shared. */
export function useGivenFiles(kind: GivenKind, take: (files: File[]) => void): void {
  const taken = useEffectEvent(take);
  useEffect(() => {
    const taker = (files: File[]) => taken(files);
    takers.set(kind, taker);
    const files = waiting.get(kind);
    waiting.delete(kind);
    if (files) taker(files);
    return () => {
      if (takers.get(kind) === taker) takers.delete(kind);
    };
  }, [kind]);
}
