interface Row {
  readonly length: number;
  set(values: never, at: number): void;
}

/** Parts one after the other in one row of the same kind: `joined(Float32Array, parts)`. */
export function concat<Part extends Row>(Kind: new (length: number) => Part, parts: readonly Part[]): Part {
  const whole = new Kind(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part as never, at);
    at += part.length;
  }
  return whole;
}
