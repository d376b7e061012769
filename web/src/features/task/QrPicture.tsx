import { chakra } from '@chakra-ui/react';
import { encode } from 'uqr';

/** A link as a picture that a telephone reads: dark on white in every theme, or it could not. */
export function QrPicture({ text, label }: { text: string; label: string }) {
  const { data, size } = encode(text, { ecc: text.length > 1000 ? 'L' : 'M', border: 4 });
  const dark = data
    .flatMap((row, y) => row.map((isDark, x) => (isDark ? `M${x} ${y}h1v1h-1z` : '')))
    .join('');
  return (
    <chakra.svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${size} ${size}`}
      w="full"
      maxW="column"
      bg="sheet"
      color="print"
      shapeRendering="crispEdges"
    >
      <path d={dark} fill="currentColor" />
    </chakra.svg>
  );
}
