import { escapeMarkup } from '../ribbon/index.ts';

/** What stands on a report; all of it plain text, but for the drawings, which are our own. */
export interface Report {
  language: string;
  title: string;
  /** What there is to say of the whole. */
  lines: string[];
  sections: { title: string; lines: string[]; drawing?: string }[];
  takes: ReportTake[];
}

export interface ReportTake {
  title: string;
  lines: string[];
  /** Own drawing, see `ribbonSvg`. */
  ribbon: string | null;
  /** A WAV in base64; null without its sound. */
  sound: string | null;
}

const paragraphs = (lines: readonly string[]) =>
  lines
    .filter(Boolean)
    .map((line) => `<p>${escapeMarkup(line)}</p>`)
    .join('');

const STYLE = `
:root{color-scheme:light}
body{background:#F7F3EA;color:#2A1F2D;font:16px/1.5 "Segoe UI",system-ui,sans-serif;max-width:52rem;margin:2rem auto;padding:0 1rem}
h1,h2,h3{font-family:Georgia,serif;font-weight:400;line-height:1.2}
p{margin:.3rem 0}
section,article{border-top:1px solid #D9CFBD;padding:.8rem 0;break-inside:avoid}
svg{display:block;width:100%;height:auto;margin:.4rem 0}
audio{width:100%}
footer{color:#665A67;font-size:.85rem;margin-top:2rem}
@media print{body{background:#fff;margin:0 auto}audio{display:none}}`;

/** One page that opens anywhere, from disk, without a network: it may load nothing at all. */
export function reportPage({ language, title, lines, sections, takes }: Report, footer: string): string {
  return [
    `<!doctype html><html lang="${escapeMarkup(language)}"><head><meta charset="utf-8">`,
    `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; media-src data:">`,
    `<meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapeMarkup(title)}</title><style>${STYLE}</style></head><body>`,
    `<h1>${escapeMarkup(title)}</h1>${paragraphs(lines)}`,
    ...sections.map(
      (section) =>
        `<section><h2>${escapeMarkup(section.title)}</h2>${section.drawing ?? ''}${paragraphs(section.lines)}</section>`,
    ),
    ...takes.map(
      (take) =>
        `<article><h3>${escapeMarkup(take.title)}</h3>${take.ribbon ?? ''}${paragraphs(take.lines)}` +
        `${take.sound === null ? '' : `<audio controls preload="none" src="data:audio/wav;base64,${take.sound}"></audio>`}</article>`,
    ),
    `<footer>${escapeMarkup(footer)}</footer></body></html>`,
  ].join('\n');
}
