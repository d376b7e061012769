import type { Horn } from './horns.ts';
import { HIGHEST_PARTIAL, LAST_FUNDAMENTAL, partialNote } from './partials.ts';
import { writtenMidi, type WrittenMidi } from './pitch.ts';
import { regularTube } from './tubes.ts';

/**
 * One way to a sounding note. `regular`: its own fingering. `longTube`: an overtone of a low fingering without the octave key.
 * `shortTube`: a fingering of the second octave overblown by a fifth.
 */
export interface Route {
  kind: 'regular' | 'longTube' | 'shortTube';
  /** The written note whose regular fingering is held; with the octave key from D5 on. */
  fingered: WrittenMidi;
  octaveKey: boolean;
  tube: WrittenMidi;
  /** Of that tube. */
  partial: number;
}

const FIFTH = 7;
/** Fingerings of the second octave that overblow a fifth: A5 from D5 up to F#6 from B5; C6 hardly does. */
export const FIRST_SHORT_TUBE = writtenMidi(74);
export const LAST_SHORT_TUBE = writtenMidi(83);

/** Whether a fingering has the octave key: its tube is an octave longer than the note it is named by. */
export const isShortTube = (fingered: number): boolean => fingered >= FIRST_SHORT_TUBE;

/** The note a fifth over a fingering of the second octave: partial 3 of the short tube. */
export const overblownFifth = (fingered: number): WrittenMidi => writtenMidi(fingered + FIFTH);

/** The regular fingering of a note as a route. */
export function regularRoute(note: WrittenMidi): Route {
  const { tube, partial } = regularTube(note);
  return { kind: 'regular', fingered: note, octaveKey: partial === 2, tube, partial };
}

/** All ways to a written note on a horn, the regular one first where there is one, then by the length of the tube, longest first. */
export function routesTo(note: WrittenMidi, { lowest, highest }: Pick<Horn, 'lowest' | 'highest'>): Route[] {
  const routes: Route[] = note >= lowest && note <= highest ? [regularRoute(note)] : [];
  for (let tube = lowest as number; tube <= LAST_FUNDAMENTAL; tube++)
    for (let partial = 2; partial <= HIGHEST_PARTIAL; partial++)
      if (partialNote(writtenMidi(tube), partial) === note)
        routes.push({
          kind: 'longTube',
          fingered: writtenMidi(tube),
          octaveKey: false,
          tube: writtenMidi(tube),
          partial,
        });
  const short = note - FIFTH;
  if (short >= FIRST_SHORT_TUBE && short <= LAST_SHORT_TUBE)
    routes.push({
      kind: 'shortTube',
      fingered: writtenMidi(short),
      octaveKey: true,
      tube: writtenMidi(short - 12),
      partial: 3,
    });
  return routes;
}
