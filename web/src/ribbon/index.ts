// The tone ribbon: geometry (pure, tested) and canvas painter. It is given frames, a target and a palette, and
// knows nothing of rooms, storage or audio.
export { InkTrack, type InkNote, type InkSetting } from './inkTrack.ts';
export { writtenInk } from './writtenInk.ts';
export { createLayout, type RibbonLayout } from './layout.ts';
export { PALETTES, type RibbonPalette } from './palette.ts';
export { LABEL_FAMILY, LABEL_FONT, MARK_FAMILY, MARK_FONT, NAME_FONT } from './fonts.ts';
export { paintInk, paintStrayLabels, strayStarts } from './paintInk.ts';
export { paintGhost } from './paintGhost.ts';
export {
  LABEL_ROOM_PX,
  paintRules,
  paintOutlineAhead,
  paintMarks,
  paintNames,
  outlineStretches,
} from './paintScore.ts';
export { GrowingRibbon } from './GrowingRibbon.tsx';
export { RibbonPicture, type RibbonPictureProps } from './RibbonPicture.tsx';
export { useRibbonPalette } from './useRibbonPalette.ts';
export { everyFrame } from './everyFrame.ts';
export { fitCanvas } from './fitCanvas.ts';
export { useElementSize } from './useElementSize.ts';
export { escapeMarkup } from './escapeMarkup.ts';
export { ribbonSvg } from './ribbonSvg.ts';
export { RibbonScore } from './RibbonScore.tsx';
export { loudnessAt, scoreLayout } from './scoreLayout.ts';
