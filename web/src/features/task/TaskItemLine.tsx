import { Box, Flex } from '@chakra-ui/react';
import {
  completeChoices,
  extentOf,
  familyById,
  phraseExercise,
  readShift,
  tellingPhrase,
} from '@inner-hum/core/exercise';
import type { TaskItem } from '@inner-hum/core/formats';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { exerciseName, extentText, familyName, nameOnNote } from '../../notation/index.ts';
import { RibbonScore } from '../../ribbon/index.ts';

interface TaskItemLineProps {
  item: TaskItem;
  horn: Horn;
  naming: NoteNaming;
  children?: ReactNode;
}

const RIBBON_PX = 46;

/** One thing of a task: its shape, what it is called, and what can be done with it. */
export function TaskItemLine({ item, horn, naming, children }: TaskItemLineProps) {
  const { t } = useTranslation();
  const family = 'family' in item ? familyById(item.family) : null;
  const options = family?.options(horn);
  const exercise =
    'exercise' in item ? item.exercise : family && options ? family.build(horn, item.choices) : null;
  // A link may say anything: what is read of it is what the drill makes of it.
  const note = options && 'family' in item ? completeChoices(options, item.choices).note : undefined;
  const plain = 'exercise' in item ? exerciseName(item.exercise, t) : familyName(item.family, t);
  const name = nameOnNote(plain, note, naming, t);
  return (
    <Flex
      as="li"
      columnGap="5"
      py="2"
      alignItems="center"
      wrap="wrap"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      <Box w="field" flexShrink="0">
        {exercise && (
          <RibbonScore
            exercise={phraseExercise(exercise, tellingPhrase(exercise))}
            hornId={horn.id}
            height={RIBBON_PX}
            label={t('today.shape', { name })}
          />
        )}
      </Box>
      <Box flex="1" minW="quarter">
        <Box fontFamily="heading" fontSize="large" lineHeight="1.2">
          {name}
        </Box>
        <Box color="muted">
          {exercise
            ? extentText(extentOf(exercise), naming, t, readShift(exercise, horn.id))
            : t('task.noRoom')}
        </Box>
      </Box>
      {children}
    </Flex>
  );
}
