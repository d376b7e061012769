import { describe, expect, it } from 'vitest';
import { PALETTES } from './palette.ts';

type Rgb = [number, number, number];

function parse(css: string): Rgb {
  if (css.startsWith('#')) return [1, 3, 5].map((at) => parseInt(css.slice(at, at + 2), 16) / 255) as Rgb;
  return (css.match(/\d+/g) ?? []).map((value) => Number(value) / 255) as Rgb;
}

const toLinear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);

/** Linear light as eyes without one kind of cone have it (Machado, Oliveira, Fernandes 2009, severity 1), and as grey. */
const EYES: Record<string, readonly Rgb[]> = {
  usual: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
  grey: [
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
  ],
};

function luminance(css: string, eyes: readonly Rgb[]): number {
  const light = parse(css).map(toLinear);
  const seen = eyes.map((row) =>
    Math.min(
      1,
      Math.max(
        0,
        row.reduce((sum, w, i) => sum + w * light[i], 0),
      ),
    ),
  );
  return 0.2126 * seen[0] + 0.7152 * seen[1] + 0.0722 * seen[2];
}

const contrast = (a: number, b: number) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

describe.each(Object.entries(PALETTES))('the ribbon in %s', (_, palette) => {
  it.each(Object.entries(EYES))('is seen by %s eyes, and how far off it is by light alone', (_name, eyes) => {
    const ground = luminance(palette.paper, eyes);
    const steps = palette.deviation.map((colour) => luminance(colour, eyes));
    // WCAG asks for 3 to 1 of what is drawn; words want 4.5.
    for (const step of steps) expect(contrast(step, ground)).toBeGreaterThanOrEqual(3);
    for (const word of [palette.ink, palette.muted])
      expect(contrast(luminance(word, eyes), ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(luminance(palette.brass, eyes), ground)).toBeGreaterThanOrEqual(3);
    // From ink to copper every step goes the same way in light, so that a grey print still tells how far.
    const way = Math.sign(steps[steps.length - 1] - steps[0]);
    steps.slice(1).forEach((step, i) => expect(Math.sign(step - steps[i])).toBe(way));
    expect(contrast(steps[0], steps[steps.length - 1])).toBeGreaterThanOrEqual(1.5);
  });
});
