import { Box, Flex } from '@chakra-ui/react';
import { completeChoices, familyById } from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import { parseISO } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import { openedBook } from '../../books/index.ts';
import { saveArchive } from '../../files/index.ts';
import { exerciseName, familyName, nameOnNote } from '../../notation/index.ts';
import {
  countTaskTakes,
  dayOf,
  EVERYTHING,
  finishTask,
  listOwnExercises,
  listTasks,
  shelfKeysOf,
  type TaskRecord,
} from '../../storage/index.ts';
import { ActionButton, ActionLink, UndoBar } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { proxied, storageWorker } from '../../workers/index.ts';
import { MarkedPart } from './MarkedPart.tsx';

/** The tasks that a teacher gave and that are not done: what is to be played, by when, and the way back. */
export function TaskLines({ horn, naming }: { horn: Horn; naming: NoteNaming }) {
  const { t } = useTranslation();
  const tasks = useLiveQuery(listTasks)?.filter(({ doneAt }) => doneAt === null) ?? [];
  const [done, setDone] = useState<string | null>(null);
  const finish = (id: string, at: number | null) => {
    void finishTask(id, at);
    setDone(at === null ? null : id);
  };
  return (
    <>
      {tasks.map((task) => (
        <TaskLine
          key={task.id}
          task={task}
          horn={horn}
          naming={naming}
          onDone={() => finish(task.id, Date.now())}
        />
      ))}
      {done && <UndoBar key={done} text={t('task.isDone')} onUndo={() => finish(done, null)} />}
    </>
  );
}

interface TaskLineProps {
  task: TaskRecord;
  horn: Horn;
  naming: NoteNaming;
  onDone(): void;
}

function TaskLine({ task, horn, naming, onDone }: TaskLineProps) {
  const { t } = useTranslation();
  const own = useLiveQuery(listOwnExercises);
  const count = useLiveQuery(() => countTaskTakes(task), [task]) ?? 0;
  const [isBusy, setBusy] = useState(false);
  const { from, note, byDay, items } = task;
  async function report(sound: boolean) {
    const stored = storageWorker();
    if (!stored) return;
    setBusy(true);
    try {
      const by = openedBook().name;
      const choice = {
        ...EVERYTHING,
        from: dayOf(task.createdAt),
        sound,
        report: { taskId: task.id, by, shelf: shelfKeysOf(task) },
      };
      const written = await stored.writeArchive(
        choice,
        proxied(() => undefined),
      );
      if (written.kind === 'written') saveArchive(written.file, t('task.reportName'));
    } finally {
      setBusy(false);
    }
  }
  const nameOf = ({ family, choices, exerciseId }: TaskRecord['items'][number]) => {
    if (family) {
      const options = familyById(family)?.options(horn);
      const note = options && completeChoices(options, choices).note;
      return nameOnNote(familyName(family, t), note, naming, t);
    }
    const found = own?.find(({ id }) => id === exerciseId);
    return found ? exerciseName(found.exercise, t) : t('task.goneItem');
  };
  return (
    <MarkedPart mark="copper" testId="task">
      <Box fontFamily="heading" fontSize="large">
        {from === '' ? t('task.titleNoName') : t('task.title', { from })}
        {byDay !== null && (
          <Box as="span" color="muted" fontFamily="body" fontSize="normal">
            {' · '}
            {t('task.by', { date: dateText(parseISO(byDay), 'day') })}
          </Box>
        )}
      </Box>
      {note !== '' && <Box whiteSpace="pre-line">{note}</Box>}
      <Box as="ul" listStyleType="none">
        {items.map((item, i) => {
          const family = item.family && familyById(item.family);
          const to = family
            ? drillAddress(family, horn, item.choices)
            : item.exerciseId && own?.some(({ id }) => id === item.exerciseId)
              ? `/stand/own/${item.exerciseId}`
              : null;
          const name = nameOf(item);
          return (
            <Flex as="li" key={i} columnGap="4" alignItems="center" wrap="wrap">
              <Box flex="1">{name}</Box>
              {to && (
                <ActionLink look="plain" to={to} aria-label={t('today.play', { name })}>
                  {t('task.on')}
                </ActionLink>
              )}
            </Flex>
          );
        })}
      </Box>
      <Flex columnGap="4" wrap="wrap" alignItems="center">
        <Box color="muted">{t('task.takes', { count })}</Box>
        <ActionButton look="plain" disabled={isBusy || count === 0} onClick={() => void report(false)}>
          {t('task.report')}
        </ActionButton>
        <ActionButton look="plain" disabled={isBusy || count === 0} onClick={() => void report(true)}>
          {t('task.reportSound')}
        </ActionButton>
        <ActionButton look="plain" onClick={onDone}>
          {t('task.done')}
        </ActionButton>
      </Flex>
    </MarkedPart>
  );
}
