import { Box, chakra, Heading } from '@chakra-ui/react';
import type { ItemMeasures } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import { centsText, measureText } from '../../notation/index.ts';

/** What a note sounded like under each word it was played with: how bright, and where its pitch lay; the darkest first. */
export function WordsTable({ words }: { words: NonNullable<ItemMeasures['words']> }) {
  const { t } = useTranslation();
  const rows = words.toSorted((a, b) => a.centroidHarmonics - b.centroidHarmonics);
  return (
    <Box as="section" mt="5" overflowX="auto" data-testid="words">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="2">
        {t('take.words')}
      </Heading>
      <chakra.table borderCollapse="collapse" fontSize="medium">
        <tbody>
          {rows.map(({ text, centroidHarmonics, cents }) => (
            <tr key={text}>
              <chakra.th
                scope="row"
                textAlign="left"
                fontFamily="heading"
                fontWeight="400"
                fontSize="large"
                pr="6"
              >
                {text}
              </chakra.th>
              <chakra.td pr="6" py="1">
                {measureText(centroidHarmonics, 'centroidHarmonics', t)}
              </chakra.td>
              <td>{centsText(cents, t)}</td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
