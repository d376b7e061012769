import { Box, chakra, Flex } from '@chakra-ui/react';
import { PATH_IDS } from '@inner-hum/core/exercise';
import { TASK_LIMITS, taskToFragment, taskToText, type Task } from '@inner-hum/core/formats';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { playersHorn, readAskedFor } from '../../addresses/index.ts';
import { openedBook } from '../../books/index.ts';
import { listOwnExercises, readSettings } from '../../storage/index.ts';
import {
  ActionButton,
  ActionLink,
  DateField,
  downloadFile,
  Field,
  FIELD_LOOK,
  RoomHeading,
  Select,
  ShareButton,
  TextArea,
  TextField,
  useSearch,
} from '../../ui/index.ts';
import { QrPicture } from './QrPicture.tsx';
import { TaskItemLine } from './TaskItemLine.tsx';

const FILE = { name: 'inner-hum task.json', type: 'application/json' };

/** Something to be played by somebody else: with a note and a day, as a link, a picture or a file. */
export function Component() {
  const { t } = useTranslation();
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const [from, setFrom] = useState(() => openedBook().name);
  const [note, setNote] = useState('');
  const [byDay, setByDay] = useState('');
  const [path, setPath] = useState('none');
  const [isCopied, setCopied] = useState(false);
  const horn = settings && playersHorn(settings);
  const items = useMemo(
    () =>
      (own && horn ? readAskedFor(search, own, horn) : [])
        .slice(0, TASK_LIMITS.items)
        .map(({ of, drill, exercise }) => ({ of, item: drill ?? { exercise } })),
    [search, own, horn],
  );
  if (!settings || !horn || !own) return null;
  const id = PATH_IDS.find((each) => each === path);
  const task: Task = {
    from,
    note,
    byDay: byDay === '' ? null : byDay,
    items: items.map(({ item }) => item),
    path: id ? { id, step: 0 } : null,
  };
  const isEmpty = task.items.length === 0 && !task.path;
  const link = isEmpty ? '' : `${window.location.origin}/task#${taskToFragment(task)}`;
  const isLong = link.length > TASK_LIMITS.link;
  const leaveOut = (of: string) => {
    const next = new URLSearchParams(search);
    next.delete('of', of);
    ask(next);
  };
  const file = () => new Blob([taskToText(task)], { type: FILE.type });
  return (
    <Box maxW="page">
      <RoomHeading title={t('task.give')} />
      <Box maxW="prose" mb="4">
        {t('task.about')}
      </Box>
      <Box as="ul" listStyleType="none" mb="5" data-testid="task-items">
        {items.map(({ of, item }) => (
          <TaskItemLine key={of} item={item} horn={horn} naming={settings.naming}>
            <ActionButton look="plain" onClick={() => leaveOut(of)}>
              {t('task.leaveOut')}
            </ActionButton>
          </TaskItemLine>
        ))}
      </Box>
      <Flex columnGap="7" rowGap="4" wrap="wrap" alignItems="flex-start" mb="5">
        <TextField label={t('task.yourName')} value={from} maxLength={TASK_LIMITS.from} onDone={setFrom} />
        <DateField label={t('task.byWhen')} value={byDay} mayBeEmpty onChange={setByDay} />
        <Select
          label={t('today.paths')}
          value={path}
          onChange={setPath}
          plain={[
            { value: 'none', label: t('task.noPath') },
            ...PATH_IDS.map((each) => ({ value: each, label: t(`today.aims.${each}`) })),
          ]}
        />
        <Box w="full" maxW="prose">
          <TextArea label={t('task.note')} value={note} maxLength={TASK_LIMITS.note} onDone={setNote} />
        </Box>
      </Flex>
      {isEmpty ? (
        <Box maxW="prose">
          {t('task.nothing')}{' '}
          <ActionLink look="plain" to="/shelf">
            {t('today.toShelf')}
          </ActionLink>
        </Box>
      ) : (
        <Flex gap="7" wrap="wrap" alignItems="flex-start">
          <Box flex="1" minW="column" maxW="prose">
            {isLong ? (
              <Box mb="4" data-testid="too-long">
                {t('task.tooLong')}
              </Box>
            ) : (
              <Field label={t('task.link')}>
                {(fieldId) => (
                  <chakra.input
                    id={fieldId}
                    readOnly
                    value={link}
                    w="full"
                    minH="touch"
                    onFocus={(event) => event.target.select()}
                    {...FIELD_LOOK}
                  />
                )}
              </Field>
            )}
            <Flex gap="4" wrap="wrap" mt="3" alignItems="center">
              {/* The browser copies only where the page is secure; the field can be copied anywhere. */}
              {!isLong && window.isSecureContext && (
                <ActionButton
                  onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
                >
                  {t('task.copy')}
                </ActionButton>
              )}
              <ActionButton look="plain" onClick={() => downloadFile(FILE.name, file(), FILE.type)}>
                {t('task.save')}
              </ActionButton>
              <ShareButton name={FILE.name} type={FILE.type} make={file} />
              <Box role="status">{isCopied && t('task.copied')}</Box>
            </Flex>
            <Box color="muted" mt="3">
              {t('task.private')}
            </Box>
          </Box>
          {!isLong && (
            <Box w="column" data-testid="qr">
              <QrPicture text={link} label={t('task.qr')} />
            </Box>
          )}
        </Flex>
      )}
    </Box>
  );
}
