/** Words of a written score, with a title that a file has to guard. */
export const SCORE_WORDS = {
  title: 'A "line" <up> & down',
  part: 'Horn',
  air: 'air',
  hum: 'hum',
  hear: 'listen',
  imagine: 'imagine',
  free: 'free',
  subtone: 'subtone',
};
