import { FRAME_SECONDS } from '@inner-hum/core/hearing';
import { escapeMarkup } from './escapeMarkup.ts';
import { inkRuns, inkY } from './paintInk.ts';
import { INK, STRAY, type InkTrack } from './inkTrack.ts';
import { createLayout } from './layout.ts';
import { PALETTES } from './palette.ts';

interface RibbonSvgRequest {
  ink: InkTrack;
  fromSeconds: number;
  toSeconds: number;
  width: number;
  height: number;
  /** For who does not see it; plain text. */
  label: string;
}

/** Airier than this is drawn as streaks. */
const AIRY = 0.35;
const EVERY_FRAMES = 2;

/** The ribbon as a drawing that needs no program: rule, ink with its lean and streaks, spine, what was written, stray pieces. In daylight. */
export function ribbonSvg({ ink, fromSeconds, toSeconds, width, height, label }: RibbonSvgRequest): string {
  const palette = PALETTES.daylight;
  const layout = createLayout({ width, height, left: 4, right: width - 4, fromSeconds, toSeconds });
  const x = (i: number) => layout.xAt(i * FRAME_SECONDS).toFixed(1);
  const half = (i: number) => layout.halfAt(ink.calm(ink.loudness, i));
  const first = Math.max(0, Math.floor(fromSeconds / FRAME_SECONDS));
  const last = Math.min(ink.count, Math.ceil(toSeconds / FRAME_SECONDS));
  const line = (points: string[], stroke: string, wide: number) =>
    points.length > 1
      ? `<polyline points="${points.join(' ')}" fill="none" stroke="${stroke}" stroke-width="${wide}"/>`
      : '';
  const runs = inkRuns(ink, first, last).map(({ from, to, kind, step, side }) => {
    const frames = Array.from(
      { length: Math.floor((to - from) / EVERY_FRAMES) + 1 },
      (_, i) => from + i * EVERY_FRAMES,
    );
    if (frames.at(-1) !== to) frames.push(to);
    // A frame is as long as it lasts, so that runs meet.
    const end = Math.min(to + 1, ink.count - 1);
    if (ink.kind[end] === kind) frames.push(end);
    const edge = (i: number, way: number) => `${x(i)},${(inkY(ink, layout, i) + way * half(i)).toFixed(1)}`;
    const shape = [...frames.map((i) => edge(i, -1)), ...frames.toReversed().map((i) => edge(i, 1))].join(
      ' ',
    );
    if (kind === STRAY)
      return `<polygon points="${shape}" fill="none" stroke="${palette.copper}" stroke-width="1.5"/>`;
    const airy = frames.reduce((sum, i) => sum + ink.breath[i], 0) / frames.length > AIRY;
    const lean = side === 0 ? '' : `<polygon points="${shape}" fill="url(#${side > 0 ? 'sharp' : 'flat'})"/>`;
    const streaks = airy ? `<polygon points="${shape}" fill="url(#air)"/>` : '';
    return `<polygon points="${shape}" fill="${palette.deviation[step]}"/>${lean}${streaks}`;
  });
  const spines: string[][] = [[]];
  for (let i = first; i < last; i += EVERY_FRAMES)
    if (ink.kind[i] === INK) spines[spines.length - 1].push(`${x(i)},${inkY(ink, layout, i).toFixed(1)}`);
    else if (spines[spines.length - 1].length > 0) spines.push([]);
  const written = ([-1, 1] as const).map((way) => {
    const points: string[] = [];
    for (let i = first; i < last; i += EVERY_FRAMES)
      if (!Number.isNaN(ink.wanted[i])) {
        const y =
          (ink.kind[i] === INK ? inkY(ink, layout, i) : layout.ruleY) + way * layout.halfAt(ink.wanted[i]);
        points.push(`${x(i)},${y.toFixed(1)}`);
      }
    return line(points, palette.brass, 1.2);
  });
  const hatch = (id: string, degrees: number) =>
    `<pattern id="${id}" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(${degrees})"><line x1="0" y1="0" x2="0" y2="5" stroke="${palette.paper}" stroke-width="0.9" stroke-opacity="0.55"/></pattern>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" role="img" aria-label="${escapeMarkup(label)}">`,
    `<defs>${hatch('sharp', 25)}${hatch('flat', -25)}`,
    `<pattern id="air" width="17" height="5" patternUnits="userSpaceOnUse"><line x1="0" y1="1" x2="13" y2="1" stroke="${palette.paper}" stroke-width="1.1"/><line x1="6" y1="3.5" x2="17" y2="3.5" stroke="${palette.paper}" stroke-width="1.1"/></pattern></defs>`,
    `<line x1="0" x2="${width}" y1="${layout.ruleY}" y2="${layout.ruleY}" stroke="${palette.brass}" stroke-width="0.8"/>`,
    ...runs,
    ...spines.map((points) => line(points, palette.paper, 1.6)),
    ...written,
    '</svg>',
  ].join('');
}
