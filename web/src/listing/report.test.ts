import { expect, it } from 'vitest';
import { FrameTrack } from '@inner-hum/core/hearing';
import { DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { pitchTarget, writtenMidi } from '@inner-hum/core/horn';
import { InkTrack, ribbonSvg } from '../ribbon/index.ts';
import { reportPage } from './reportPage.ts';

it('lets no text become markup, and no page ask for anything', () => {
  const evil = '<img src=x onerror="alert(1)">\'&';
  const page = reportPage(
    {
      language: 'en',
      title: evil,
      lines: [evil, ''],
      sections: [{ title: evil, lines: [evil] }],
      takes: [{ title: evil, lines: [evil], ribbon: null, sound: 'AAAA' }],
    },
    evil,
  );
  expect(page).not.toContain('<img');
  expect(page.match(/&#60;img/g)).toHaveLength(8);
  expect(page).toContain("default-src 'none'");
  expect(page).toContain('src="data:audio/wav;base64,AAAA"');
  expect(page).not.toMatch(/https?:\/\//);
});

it('draws a ribbon without a program: sharp leans one way, a slip is hollow, and nothing leaves the drawing', () => {
  const target = pitchTarget({ writtenMidi: writtenMidi(67), fingered: null }, 'alto', 440);
  const track = new FrameTrack();
  const at = (cents: number, partial = 1) => partial * target.targetHz * 2 ** (cents / 1200);
  for (let i = 0; i < 60; i++) track.append(at(0), 0.95, -25, 2, -30);
  for (let i = 0; i < 60; i++) track.append(at(20), 0.95, -25, 2, -5);
  for (let i = 0; i < 30; i++) track.append(at(0, 2), 0.95, -25, 2, -30);
  const ink = new InkTrack({
    scale: DEFAULT_SCALE,
    a4Hz: 440,
    notes: [{ ...target, fromSeconds: 0, toSeconds: 1.5 }],
    wantedAt: () => 0.5,
  });
  ink.follow(track);
  const svg = ribbonSvg({ ink, fromSeconds: 0, toSeconds: 1.5, width: 400, height: 100, label: 'a "b" <c>' });
  expect(svg).toContain('fill="url(#sharp)"');
  expect(svg).not.toContain('fill="url(#flat)"');
  expect(svg).toContain('fill="url(#air)"');
  expect(svg).toMatch(/<polygon [^>]*fill="none" stroke="#B4471F"/);
  expect(svg).not.toContain('<c>');
  const points = [...svg.matchAll(/points="([^"]+)"/g)].flatMap(([, all]) => all.split(' '));
  for (const point of points) {
    const [x, y] = point.split(',').map(Number);
    expect(x).toBeGreaterThanOrEqual(0);
    expect(x).toBeLessThanOrEqual(400);
    expect(y).toBeGreaterThanOrEqual(0);
    expect(y).toBeLessThanOrEqual(100);
  }
});
