import { escapeMarkup } from '../ribbon/index.ts';

/** What makes an element look as it looks; positions of what floats over the page are left out with it. */
const LOOKS = [
  'align-items',
  'background-color',
  'border-bottom',
  'border-collapse',
  'border-left',
  'border-right',
  'border-top',
  'box-sizing',
  'color',
  'column-gap',
  'display',
  'flex-basis',
  'flex-direction',
  'flex-grow',
  'flex-shrink',
  'flex-wrap',
  'font-family',
  'font-size',
  'font-style',
  'font-weight',
  'grid-template-columns',
  'height',
  'justify-content',
  'left',
  'line-height',
  'margin-bottom',
  'margin-left',
  'margin-right',
  'margin-top',
  'padding-bottom',
  'padding-left',
  'padding-right',
  'padding-top',
  'position',
  'row-gap',
  'text-align',
  'top',
  'white-space',
  'width',
] as const;
const DRAWN = ['fill', 'stroke', 'stroke-width', 'color', 'opacity'] as const;
/** Of a drawing in a line of text. */
const PLACED = [
  ...DRAWN,
  'display',
  'height',
  'margin-left',
  'margin-right',
  'vertical-align',
  'width',
] as const;
const LEFT_OUT = ['BUTTON', 'A', 'INPUT', 'SELECT', 'LABEL', 'SUMMARY'];

const FORGOTTEN = ['class', 'style', 'id', 'tabindex', 'data-testid', 'href', 'type', 'for'];

/**
 * An element as it stands on the screen, as markup with its looks written on it; what is pressed or chosen keeps only its words.
 * Text and attributes are escaped. Written as text, for the app's own policy lets no element have a style of its own.
 */
function markupOf(element: Element): string {
  const isDrawn = element instanceof SVGElement;
  const tag = LEFT_OUT.includes(element.tagName) ? 'span' : element.tagName.toLowerCase();
  const looks = getComputedStyle(element);
  const names = element instanceof SVGSVGElement ? PLACED : isDrawn ? DRAWN : LOOKS;
  const style = names.map((name) => `${name}:${looks.getPropertyValue(name)}`).join(';');
  const attributes = [...element.attributes]
    .filter(
      ({ name }) =>
        !FORGOTTEN.includes(name) && !name.startsWith('on') && (isDrawn || name.startsWith('aria-')),
    )
    .map(({ name, value }) => ` ${name}="${escapeMarkup(value)}"`)
    .join('');
  const inside = [...element.childNodes].map((child) => {
    if (child.nodeType === Node.TEXT_NODE) return escapeMarkup(child.textContent ?? '');
    return child instanceof Element && getComputedStyle(child).display !== 'none' ? markupOf(child) : '';
  });
  // Names of drawn elements keep their capitals.
  const name = isDrawn ? element.tagName : tag;
  return `<${name}${attributes} style="${escapeMarkup(style)}">${inside.join('')}</${name}>`;
}

/**
 * A part of the screen as one page that opens anywhere, from disk, without a network: it may load nothing at all. `paper` is what
 * it stands on.
 */
export function pageOfElement(element: Element, title: string, paper: string, language: string): string {
  const { width } = element.getBoundingClientRect();
  return [
    `<!doctype html><html lang="${escapeMarkup(language)}"><head><meta charset="utf-8">`,
    `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">`,
    `<meta name="viewport" content="width=${Math.ceil(width) + 48}"><title>${escapeMarkup(title)}</title>`,
    `<style>body{background:${paper};margin:24px;width:${Math.ceil(width)}px}@page{size:landscape}</style></head><body>`,
    markupOf(element),
    '</body></html>',
  ].join('\n');
}
