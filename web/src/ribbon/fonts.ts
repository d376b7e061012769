/** Canvas fonts; the families ship with the app. */
export const LABEL_FAMILY = '"Atkinson Hyperlegible Next Variable", sans-serif';
export const MARK_FAMILY = '"Literata Variable", serif';
export const LABEL_FONT = `15px ${LABEL_FAMILY}`;
export const MARK_FONT = `italic 700 30px ${MARK_FAMILY}`;
export const NAME_FONT = `18px ${LABEL_FAMILY}`;
