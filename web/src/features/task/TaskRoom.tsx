import { Box, Flex } from '@chakra-ui/react';
import { taskFromFragment, type Task } from '@inner-hum/core/formats';
import { whyOf, type Why } from '@inner-hum/core/signal';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { parseISO } from 'date-fns';
import { useLocation, useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { whyText } from '../../notation/index.ts';
import { keepTask, readSettings } from '../../storage/index.ts';
import { ActionButton, ActionLink, RoomHeading } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { TaskItemLine } from './TaskItemLine.tsx';

function read(fragment: string): { task: Task } | { why: Why } {
  try {
    return { task: taskFromFragment(fragment) };
  } catch (error) {
    return { why: whyOf(error) };
  }
}

/** A task that came as a link: what it holds is shown before anything is kept. */
export function Component() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const { hash } = useLocation();
  const settings = useLiveQuery(readSettings);
  if (!settings) return null;
  const opened = read(hash);
  if ('why' in opened)
    return (
      <Box maxW="prose">
        <RoomHeading title={t('task.notRead')} />
        <Box mb="4" data-testid="task-refused">
          {t('task.why', { why: whyText(opened.why, t) })}
        </Box>
        <ActionLink to="/today">{t('today.back')}</ActionLink>
      </Box>
    );
  const { task } = opened;
  const horn = playersHorn(settings);
  return (
    <Box maxW="page" data-testid="task">
      <RoomHeading
        title={task.from === '' ? t('task.titleNoName') : t('task.title', { from: task.from })}
        aside={task.byDay === null ? '' : t('task.by', { date: dateText(parseISO(task.byDay), 'dayYear') })}
      />
      {task.note !== '' && (
        <Box maxW="prose" mb="4" fontSize="medium" whiteSpace="pre-line">
          {task.note}
        </Box>
      )}
      {task.path && (
        <Box mb="4">
          {t('task.path', { path: t(`today.aims.${task.path.id}`), step: task.path.step + 1 })}
        </Box>
      )}
      <Box as="ul" listStyleType="none" mb="5">
        {task.items.map((item, i) => (
          <TaskItemLine key={i} item={item} horn={horn} naming={settings.naming} />
        ))}
      </Box>
      <Flex gap="5" wrap="wrap" alignItems="center">
        <ActionButton
          look="main"
          onClick={() => void keepTask(task, Date.now()).then(() => navigate('/today', { replace: true }))}
        >
          {t('task.keep')}
        </ActionButton>
        <ActionLink look="plain" to="/today">
          {t('task.notNow')}
        </ActionLink>
      </Flex>
    </Box>
  );
}
