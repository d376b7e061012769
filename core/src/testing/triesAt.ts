import { writtenMidi, type WrittenMidi } from '../horn/index.ts';
import { NO_FIGURES, type PractisedNote, type Zone } from '../practice/index.ts';

/** Tries at an item, all at one moment. */
export function triesAt(
  { family, midi, zone }: { family: string; zone: Zone; midi: WrittenMidi | null },
  at: number,
  judged: number,
  asWritten: number,
): PractisedNote[] {
  const usual = { low: 60, middle: 68, high: 79, palm: 88, altissimo: 91 };
  const note = midi ?? writtenMidi(usual[zone]);
  return Array.from({ length: judged }, (_, i) => ({
    family,
    writtenMidi: note,
    fingeredMidi: note,
    day: new Date(at).toISOString().slice(0, 10),
    at,
    seconds: 4,
    asWritten: i < asWritten,
    figures: NO_FIGURES,
  }));
}
