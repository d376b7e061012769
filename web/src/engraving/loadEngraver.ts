import bravuraUrl from '@vexflow-fonts/bravura/bravura.woff2?url';

export type Engraver = typeof import('./engrave.ts');

let loading: Promise<Engraver> | null = null;

/** The engraver with its font, loaded once. Glyphs are measured, so the font must be there before the first note. */
export function loadEngraver(): Promise<Engraver> {
  loading ??= Promise.all([import('./engrave.ts'), loadFont()]).then(
    ([engraver]) => engraver,
    (error: unknown) => {
      loading = null;
      throw error;
    },
  );
  return loading;
}

async function loadFont(): Promise<void> {
  const font = new FontFace('Bravura', `url(${bravuraUrl})`);
  document.fonts.add(await font.load());
}
