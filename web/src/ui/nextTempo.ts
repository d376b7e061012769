const TEMPI = [
  30, 35, 40, 42, 44, 46, 48, 50, 52, 54, 56, 58, 60, 63, 66, 69, 72, 76, 80, 84, 88, 92, 96, 100, 104, 108,
  112, 116, 120, 126, 132, 138, 144, 152, 160, 168, 176, 184, 192, 200,
];

/** The next tempo up (+1) or down (-1) on the row every metronome has. */
export function nextTempo(tempoBpm: number, step: 1 | -1): number {
  const next =
    step > 0 ? TEMPI.find((tempo) => tempo > tempoBpm) : TEMPI.findLast((tempo) => tempo < tempoBpm);
  return next ?? tempoBpm;
}
