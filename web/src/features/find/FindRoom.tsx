import { Box, Flex } from '@chakra-ui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { listOwnExercises, readSettings } from '../../storage/index.ts';
import { ActionLink, RoomHeading, SearchField, useSearch } from '../../ui/index.ts';
import { shelfEntries } from '../../listing/index.ts';
import { find, findEntries } from './findEntries.ts';

/** So many answers are shown: who looks for one thing reads no more. */
const SHOWN = 24;
const MOST_LETTERS = 60;

/** One field that looks for everything: rooms, exercises, settings, words. */
export function Component() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [search, ask] = useSearch();
  const settings = useLiveQuery(readSettings);
  const own = useLiveQuery(listOwnExercises);
  const words = (search.get('words') ?? '').slice(0, MOST_LETTERS);
  const naming = settings?.naming ?? 'letters';
  const horn = settings && playersHorn(settings);
  const all = useMemo(() => {
    return findEntries(horn && own ? shelfEntries(own, horn) : [], naming, t);
  }, [horn, own, naming, t]);
  if (!settings || !own) return null;
  const { entries, isNear } = find(all, words);
  const shown = entries.slice(0, SHOWN);
  return (
    <Box maxW="prose">
      <RoomHeading
        title={t('rooms.find')}
        aside={
          settings.singleKeys && (
            <Box as="span" display={{ base: 'none', md: 'inline' }}>
              {t('find.key')}
            </Box>
          )
        }
      />
      <form
        role="search"
        onSubmit={(event) => {
          event.preventDefault();
          if (words !== '' && shown.length > 0) void navigate(shown[0].to);
        }}
      >
        <SearchField
          label={t('find.label')}
          value={words}
          autoFocus
          onChange={(next) => ask(next === '' ? {} : { words: next.slice(0, MOST_LETTERS) })}
        />
      </form>
      <Box role="status" color="muted" my="3">
        {shown.length === 0 ? t('find.none') : isNear ? t('find.near') : ''}
      </Box>
      <Box as="ul" data-testid="found">
        {shown.map(({ kind, name, to }) => (
          <Flex as="li" key={`${kind} ${to} ${name}`} alignItems="baseline" gap="4">
            <ActionLink look="plain" to={to}>
              {name}
            </ActionLink>
            <Box as="span" color="muted" fontSize="small">
              {t(`find.kind.${kind}`)}
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
