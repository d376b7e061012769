import { createSystem, defaultBaseConfig, defineConfig, type SystemStyleObject } from '@chakra-ui/react';

const theme = (light: string, dark: string) => ({ value: { _light: light, _dark: dark } });
const plain = (value: string) => ({ value });

const globalCss: Record<string, SystemStyleObject> = {
  '*, *::before, *::after': { boxSizing: 'border-box', margin: 0, padding: 0, borderWidth: 0 },
  html: {
    bg: 'paper',
    _print: { bg: 'sheet' },
    color: 'ink',
    fontFamily: 'body',
    fontSize: '16px',
    lineHeight: 1.5,
    height: '100%',
  },
  'body, #root': { height: '100%', fontVariantNumeric: 'tabular-nums' },
  'h1, h2, h3': { fontFamily: 'heading', fontWeight: 400, lineHeight: 1.2 },
  // Dynamic marks.
  em: { fontFamily: 'marks', fontWeight: 700 },
  'ul, ol': { listStyle: 'none' },
  a: { color: 'inherit', textDecoration: 'none' },
  'a:focus-visible, button:focus-visible, input:focus-visible, select:focus-visible, textarea:focus-visible, canvas:focus-visible, label:has(> input[type=radio]:focus-visible), [tabindex]:focus-visible':
    { outline: '3px solid', outlineColor: 'brass', outlineOffset: '2px' },
  'button, input, select, textarea': { font: 'inherit', color: 'inherit', background: 'transparent' },
  '.ribbon-frame': { position: 'relative', width: '100%' },
  // The page on the Stand fills its place; what it draws below it lets fingers through.
  '.page-frame': { height: '100%' },
  '.page-frame canvas': { pointerEvents: 'none' },
  '.ribbon-canvas': { display: 'block', width: '100%' },
  '.ribbon-layer': { position: 'absolute', insetInlineStart: 0, top: 0 },
  '.page-cursor': {
    position: 'absolute',
    top: '8px',
    left: '-1px',
    width: '2px',
    bg: 'ink',
    visibility: 'hidden',
    willChange: 'transform',
    _before: {
      content: '""',
      position: 'absolute',
      top: '-5px',
      left: '-4px',
      width: '10px',
      height: '10px',
      borderRadius: '50%',
      bg: 'ink',
    },
  },
  // A line of music is never cut between two pages.
  // Before it is engraved it takes about the room of a line, so that the page does not jump.
  '.engraving': { minHeight: '88px' },
  '.engraving svg': { display: 'block', breakInside: 'avoid', maxWidth: '100%' },
  '@media (prefers-contrast: more)': {
    '&:root, & .light, & .dark': {
      '--chakra-colors-muted': 'var(--chakra-colors-ink)',
      '--chakra-colors-line': 'var(--chakra-colors-edge)',
      '--chakra-colors-edge': 'var(--chakra-colors-ink)',
    },
  },
  // The system's own colours: an edge that is there for its room only must not be seen.
  '@media (forced-colors: active)': {
    '& [aria-pressed=false], & label:has(> input[type=radio])': { borderColor: 'Canvas !important' },
    '& [aria-pressed=true], & label:has(> input:checked), & [aria-current=page] > span': {
      borderColor: 'Highlight !important',
    },
    '& nav a:not([aria-current=page]) > span, & nav summary > span': { borderColor: 'Canvas !important' },
    '& .page-cursor, & .page-cursor::before, & .solid-line': {
      forcedColorAdjust: 'none',
      bg: 'CanvasText !important',
    },
    '& progress': { border: '1px solid CanvasText' },
  },
  '@media print': {
    '& nav, & [role=status], & .page-frame': { display: 'none' },
    '& main, & main > *': { maxWidth: 'none' },
    '& svg, & img, & tr, & li': { breakInside: 'avoid' },
    '& h1, & h2, & h3': { breakAfter: 'avoid' },
  },
  '@media (prefers-reduced-motion: reduce)': {
    '& *': { animation: 'none !important', transition: 'none !important' },
  },
};

/** Every colour, size and space of the app; rooms use these names and no literals. */
const config = defineConfig({
  globalCss,
  theme: {
    breakpoints: { sm: '30em', md: '48em', lg: '64em', xl: '80em' },
    tokens: {
      spacing: {
        1: plain('4px'),
        2: plain('8px'),
        3: plain('12px'),
        4: plain('16px'),
        5: plain('20px'),
        6: plain('24px'),
        7: plain('32px'),
        8: plain('40px'),
        9: plain('56px'),
      },
      sizes: {
        touch: plain('44px'),
        rail: plain('148px'),
        places: plain('60px'),
        // Below the page on the Stand: choices, beats, or the verdict.
        standFoot: plain('220px'),
        standFootNarrow: plain('312px'),
        noteRow: plain('148px'),
        deskNote: plain('236px'),
        deskNoteSmall: plain('170px'),
        deskName: plain('300px'),
        column: plain('280px'),
        page: plain('1080px'),
        wide: plain('1400px'),
        phrases: plain('200px'),
        list: plain('400px'),
        panel: plain('340px'),
        routeStep: plain('64px'),
        tryColumn: plain('172px'),
        share: plain('220px'),
        shareNarrow: plain('88px'),
        // A month's days at a finger's least width each.
        inkMonth: plain('840px'),
        chart: plain('280px'),
        prose: plain('640px'),
        field: plain('120px'),
        quarter: plain('236px'),
        noteColumn: plain('216px'),
        full: plain('100%'),
        screen: plain('100dvh'),
      },
      radii: { small: plain('4px'), round: plain('999px') },
      fonts: {
        heading: plain('"Young Serif", Georgia, serif'),
        body: plain('"Atkinson Hyperlegible Next Variable", "Segoe UI", sans-serif'),
        marks: plain('"Literata Variable", Georgia, serif'),
      },
      fontSizes: {
        tiny: plain('11px'),
        small: plain('14px'),
        normal: plain('16px'),
        medium: plain('18px'),
        large: plain('22px'),
        title: plain('30px'),
        display: plain('44px'),
        next: plain('56px'),
        beat: plain('72px'),
        note: plain('136px'),
        desk: plain('200px'),
      },
    },
    semanticTokens: {
      colors: {
        paper: theme('#F7F3EA', '#17131A'),
        ink: theme('#2A1F2D', '#F2EADB'),
        muted: theme('#665A67', '#A89DA6'),
        brass: theme('#8A5A12', '#D6A550'),
        cane: theme('#EFE2C4', '#3A2F22'),
        copper: theme('#A83F19', '#EE8150'),
        line: theme('#D9CFBD', '#3B3340'),
        sheet: plain('#FFFFFF'),
        print: plain('#000000'),
        edge: theme('#8C8189', '#7A6F7C'),
      },
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
