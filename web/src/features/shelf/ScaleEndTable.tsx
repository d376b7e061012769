import { Box, chakra, Heading } from '@chakra-ui/react';
import { scaleEnds } from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteGlyph, signedKey } from '../../notation/index.ts';

/** The ends that the major scales have on this range, and the keys that share each. */
export function ScaleEndTable({ horn, naming }: { horn: Horn; naming: NoteNaming }) {
  const { t } = useTranslation();
  const { lowest, highest } = horn;
  const ends = useMemo(() => scaleEnds({ lowest, highest }), [lowest, highest]);
  return (
    <Box mt="6">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('shelf.ends', { count: ends.length })}
      </Heading>
      <chakra.table borderCollapse="collapse">
        <tbody>
          {ends.map(({ end, notes, keys }) => (
            <tr key={`${end} ${notes.join(' ')}`}>
              <chakra.td pr="6" color="muted">
                {t(`chosen.${end}`)}
              </chakra.td>
              <chakra.td pr="6" whiteSpace="nowrap">
                {notes.map((midi) => (
                  <Box as="span" key={midi} mr="3">
                    <NoteGlyph midi={midi} naming={naming} octave />
                  </Box>
                ))}
              </chakra.td>
              <td>{keys.map(signedKey).join('  ')}</td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
