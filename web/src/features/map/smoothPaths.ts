import { REGISTER_BORDERS, type Evenness } from '@inner-hum/core/tendency';

/** The smooth curve that notes are held against, one path a register. */
export function smoothPaths(
  evenness: Evenness | null,
  x: (midi: number) => number,
  y: (value: number) => number,
): string[] {
  const paths: string[] = [];
  let last: number | null = null;
  for (const { writtenMidi, smooth } of evenness?.notes ?? []) {
    const breaks =
      last === null || REGISTER_BORDERS.some((border) => border > (last ?? 0) && border <= writtenMidi);
    const point = `${x(writtenMidi).toFixed(1)} ${y(smooth).toFixed(1)}`;
    if (breaks) paths.push(`M${point}`);
    else paths[paths.length - 1] += `L${point}`;
    last = writtenMidi;
  }
  return paths.filter((path) => path.includes('L'));
}
