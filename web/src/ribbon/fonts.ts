/** Canvas fonts; the families ship with the app. */
export const LABEL_FONT = '15px "Atkinson Hyperlegible Next Variable", sans-serif';
export const MARK_FONT = 'italic 700 30px "Literata Variable", serif';
