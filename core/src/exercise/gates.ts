/** What some drills wait behind until what they are built on goes well; nothing but a sheet asks for it. */
export const GATES = ['overtones', 'palm', 'subtone', 'widening', 'altissimo'] as const;
export type Gate = (typeof GATES)[number];

/** How long somebody has played, as they say themselves. */
export const EXPERIENCES = ['firstYear', 'someYears', 'advanced'] as const;
export type Experience = (typeof EXPERIENCES)[number];
