/** What goes wrong with one item of an exercise; `item` counts in the exercise's score. */
export type ItemFault = { item: number } & (
  | { kind: 'missed' }
  | { kind: 'wrongNote'; semitones: number }
  /** Another partial of the fingered tube, all through. */
  | { kind: 'wrongPartial'; partial: number }
  | { kind: 'late'; seconds: number }
  /** Breaks off after a third and begins again. */
  | { kind: 'repeated' }
  /** A breath inside the note, so many seconds after its beginning. */
  | { kind: 'earlyBreath'; atSeconds: number }
  | { kind: 'breathInGap' }
  | { kind: 'latePeak'; beats: number }
  | { kind: 'slip'; atSeconds: number; lengthSeconds: number; toPartial: number }
  /** The air goes at the beat, the tone comes later. */
  | { kind: 'slowAnswer'; responseMs: number }
  | { kind: 'slowSlur'; glideMs: number; overshootCents: number }
  /** Parted from the note before where it should be slurred. */
  | { kind: 'parted'; gapMs: number }
  | { kind: 'off'; cents: number; levelDb: number }
  /** Bends only this share of the way down. */
  | { kind: 'shallowBend'; share: number }
  /** The colour stays where it is. */
  | { kind: 'oneColour' }
  /** Where a subtone is written: a full tone at that level; or more air than tone. */
  | { kind: 'noSubtone' }
  | { kind: 'weak' }
  /** Brighter (1) or darker (0) than the loudness has it. */
  | { kind: 'colour'; at: number }
  /** Swings other than written; no width is none. */
  | { kind: 'vibrato'; rateHz: number; widthCents: number }
  /** Before the tone, or instead of it where it lasts as long as the note. */
  | { kind: 'squawk'; seconds: number }
  /** Bare air louder or softer than it usually is. */
  | { kind: 'air'; db: number }
);

export type FaultKind = ItemFault['kind'];

/** The fault of this kind that an item has, if any. */
export function faultOf<Kind extends FaultKind>(
  faults: readonly ItemFault[],
  item: number,
  kind: Kind,
): Extract<ItemFault, { kind: Kind }> | null {
  const found = faults.find((fault) => fault.item === item && fault.kind === kind);
  return (found as Extract<ItemFault, { kind: Kind }> | undefined) ?? null;
}
