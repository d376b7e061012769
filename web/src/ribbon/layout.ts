/** Where musical units fall on a canvas of CSS pixels. */
export interface RibbonLayout {
  width: number;
  height: number;
  /** Horizontal extent of the time window. */
  left: number;
  right: number;
  /** The straight rule: the target pitch. */
  ruleY: number;
  pxPerSecond: number;
  fromSeconds: number;
  /** Width of the light spine. */
  spinePx: number;
  xAt(seconds: number): number;
  /** Height of a deviation; held at the edge of the drawing beyond about 60 cents. */
  yAt(cents: number): number;
  /** How far down the rule goes where it is bent by so many cents: a scale of its own, an octave fills a third of the height. */
  dropAt(bendCents: number): number;
  /** Half the thickness of a loudness (0 ppp - 1 fff). */
  halfAt(loudness: number): number;
}

export interface LayoutRequest {
  width: number;
  height: number;
  left: number;
  right: number;
  fromSeconds: number;
  toSeconds: number;
  /** Small ribbons in lists have a thinner spine and fill their height. */
  small?: boolean;
}

const MAX_CENTS = 62;

export function createLayout(request: LayoutRequest): RibbonLayout {
  const { width, height, left, right, fromSeconds, toSeconds, small = false } = request;
  const pxPerSecond = (right - left) / Math.max(0.1, toSeconds - fromSeconds);
  const ruleY = height / 2;
  const pxPerCent = height * (small ? 0.006 : 0.0066);
  const halfMost = height * (small ? 0.3 : 0.24);
  const halfLeast = small ? 1.2 : Math.max(5, height * 0.014);
  return {
    width,
    height,
    left,
    right,
    ruleY,
    pxPerSecond,
    fromSeconds,
    spinePx: small ? 1.4 : Math.max(4, Math.min(7, height * 0.016)),
    xAt: (seconds) => left + (seconds - fromSeconds) * pxPerSecond,
    yAt: (cents) => ruleY - Math.max(-MAX_CENTS, Math.min(MAX_CENTS, cents)) * pxPerCent,
    dropAt: (bendCents) => (-bendCents / 1200) * height * 0.33,
    halfAt: (loudness) => halfLeast + Math.max(0, Math.min(1.12, loudness)) * (halfMost - halfLeast),
  };
}
