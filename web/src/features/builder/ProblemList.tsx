import { Box } from '@chakra-ui/react';
import type { Exercise, Problem } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { ActionButton } from '../../ui/index.ts';

interface ProblemListProps {
  exercise: Exercise;
  problems: readonly Problem[];
  naming: NoteNaming;
  onGo(phrase: number, item: number | null): void;
}

/** More would only bury the first. */
const MOST_SHOWN = 3;

/** What stands in the way, each with the place it is in one press away. */
export function ProblemList({ exercise, problems, naming, onGo }: ProblemListProps) {
  const { t } = useTranslation();
  return (
    <Box role="status" minH={problems.length > 0 ? 'touch' : '0'}>
      {problems.slice(0, MOST_SHOWN).map(({ kind, phrase, item, isFatal }) => {
        const at = item === null ? null : exercise.phrases[phrase].items[item];
        const note = at && 'writtenMidi' in at ? noteText(at.writtenMidi, naming) : '';
        return (
          <Box key={`${kind} ${phrase} ${item}`} color={isFatal ? 'copper' : 'ink'} data-problem={kind}>
            {exercise.phrases.length > 1 && `${t('builder.phraseName', { index: phrase + 1 })}: `}
            {t(`problem.${kind}`, { note })}{' '}
            <ActionButton look="plain" onClick={() => onGo(phrase, item)}>
              {t('builder.showIt')}
            </ActionButton>
          </Box>
        );
      })}
      {problems.length > MOST_SHOWN && (
        <Box color="muted">{t('problem.more', { count: problems.length - MOST_SHOWN })}</Box>
      )}
    </Box>
  );
}
