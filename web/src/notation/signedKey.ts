/** A key by its letter, with its sign as it is printed: "B♭". */
export const signedKey = (key: string) => key.replace('b', '\u266d').replace('#', '\u266f');
