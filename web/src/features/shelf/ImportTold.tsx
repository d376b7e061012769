import { whyText } from '../../notation/index.ts';
import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import type { ImportAnswered } from './importExercises.ts';

/** What became of a file that was brought in. */
export function ImportTold({ answer }: { answer: ImportAnswered }) {
  const { t } = useTranslation();
  return (
    <Box role="status" mb="4" bg="cane" px="4" py="2">
      {answer.kind === 'taken' ? (
        <>
          {t('shelf.taken', { count: answer.count })}
          {answer.refused.map(({ index, why }) => (
            <Box key={index}>{t('shelf.refused', { index: index + 1, why: whyText(why, t) })}</Box>
          ))}
        </>
      ) : answer.kind === 'refusedScore' ? (
        t('score.refused', { why: whyText(answer.why, t) })
      ) : (
        t(`shelf.file.${answer.kind}`)
      )}
    </Box>
  );
}
