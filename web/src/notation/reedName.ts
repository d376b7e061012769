/** Kind and strength of a reed, then what is written on this one. */
export const reedName = ({ kind, name }: { kind: string; name: string }) =>
  [kind, name].filter(Boolean).join(', ');
