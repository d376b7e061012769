// Engraving: exercises as printed music, for the Shelf, the builder and the printed sheet. It draws what is written and
// knows nothing of playing. The engraver itself is loaded when it is first needed.
export { Engraving } from './Engraving.tsx';
export type { EngravedPhrase } from './engraved.ts';
export { phrasesOf } from './phrasesOf.ts';
