/** Colours of the ribbon in one theme, as CSS. */
export interface RibbonPalette {
  paper: string;
  ink: string;
  muted: string;
  brass: string;
  cane: string;
  line: string;
  copper: string;
  /** Ink to copper in steps; index 0 is on pitch. */
  deviation: string[];
}

export const DEVIATION_STEPS = 20;

function mix(from: [number, number, number], to: [number, number, number], share: number): string {
  return `rgb(${from.map((value, i) => Math.round(value + share * (to[i] - value))).join(' ')})`;
}

const ramp = (from: [number, number, number], to: [number, number, number]) =>
  Array.from({ length: DEVIATION_STEPS + 1 }, (_, i) => mix(from, to, i / DEVIATION_STEPS));

export const PALETTES: Record<'daylight' | 'stage', RibbonPalette> = {
  daylight: {
    paper: '#F7F3EA',
    ink: '#2A1F2D',
    muted: '#6B5F6C',
    brass: '#8A5A12',
    cane: '#EFDFBF',
    line: '#D9CFBD',
    copper: '#B4471F',
    deviation: ramp([0x2a, 0x1f, 0x2d], [0xb4, 0x47, 0x1f]),
  },
  stage: {
    paper: '#17131A',
    ink: '#F2EADB',
    muted: '#A89DA6',
    brass: '#D6A550',
    cane: '#3A2F22',
    line: '#3B3340',
    copper: '#E8743F',
    deviation: ramp([0xf2, 0xea, 0xdb], [0xe8, 0x74, 0x3f]),
  },
};
