import { Box, Flex } from '@chakra-ui/react';
import { familyById } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { hearingProposal, hearings, type Hearing } from '@inner-hum/core/plan';
import { unpackNotes } from '@inner-hum/core/practice';
import { parseISO, subYears } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import type { TFunction } from 'i18next';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { drillAddress, playersHorn } from '../../addresses/index.ts';
import { signedNote } from '../../notation/index.ts';
import { changeSettings, dayOf, listPractice, readSettings, saveScale } from '../../storage/index.ts';
import { ActionButton, ActionLink, RoomHeading } from '../../ui/index.ts';
import { dateText, decimals } from '../../words/index.ts';

const LOOKS_BACK_YEARS = 3;
const MOST_SHOWN = 6;

async function readHearings(now: number) {
  const settings = await readSettings();
  const { source, hornId } = settings;
  const practice = await listPractice(source, dayOf(subYears(now, LOOKS_BACK_YEARS)), dayOf(now));
  return { settings, list: hearings(practice.filter((each) => each.hornId === hornId).flatMap(unpackNotes)) };
}

/** What was heard on one day, in one sentence a thing. */
function heardText(
  { lowest, highest, loudness, spreadCents, overtones }: Hearing,
  naming: NoteNaming,
  t: TFunction,
) {
  return [
    t('hearing.range', { low: signedNote(lowest, naming), high: signedNote(highest, naming) }),
    ...(loudness === null ? [] : [t('hearing.span', { db: decimals(loudness.loudDb - loudness.softDb, 0) })]),
    ...(spreadCents === null ? [] : [t('hearing.spread', { cents: decimals(spreadCents, 0) })]),
    t('hearing.overtones', { count: overtones.length }),
  ].join(' ');
}

/** What a hearing showed, beside those before it, and what it would set. */
export function Component() {
  const { t } = useTranslation();
  const [now] = useState(() => Date.now());
  const [isUsed, setUsed] = useState(false);
  const read = useLiveQuery(() => readHearings(now), [now]);
  if (!read) return null;
  const { settings, list } = read;
  const { naming, hornId } = settings;
  const horn = playersHorn({ ...settings, ranges: {} });
  const family = familyById('firstHearing');
  const play = family && (
    <ActionLink to={drillAddress(family, horn, {})}>
      {t(list.length === 0 ? 'hearing.begin' : 'hearing.again')}
    </ActionLink>
  );
  const [newest, ...before] = list;
  const proposal = list.length === 0 ? null : hearingProposal(newest, horn);
  // The simulated player plays on a scale of its own.
  const scale = settings.source === 'microphone' && proposal ? proposal.scale : null;
  return (
    <Box maxW="page">
      <RoomHeading
        title={t('hearing.title')}
        aside={list.length === 0 ? '' : dateText(parseISO(newest.day), 'dayYear')}
      />
      <Box maxW="prose" mb="4">
        {list.length === 0 ? t('hearing.about') : heardText(newest, naming, t)}
      </Box>
      {proposal && (
        <Box maxW="prose" mb="4" data-testid="hearing">
          {t('hearing.proposal', {
            experience: t(`experience.${proposal.experience}`),
            tolerance: t(`tolerance.${proposal.toleranceId}`),
          })}{' '}
          {proposal.range
            ? t('hearing.proposedRange', {
                low: signedNote(proposal.range.lowest, naming),
                high: signedNote(proposal.range.highest, naming),
              })
            : t('hearing.wholeRange')}
          {scale && (
            <>
              {' '}
              {t('hearing.scale', {
                soft: decimals(scale.floorDb, 0),
                loud: decimals(scale.ceilingDb, 0),
              })}
            </>
          )}
          <Flex mt="3" gap="4" alignItems="center" wrap="wrap">
            <ActionButton
              look="main"
              onClick={() => {
                const { experience, toleranceId, range } = proposal;
                void changeSettings(({ ranges }) => {
                  const { [hornId]: _, ...others } = ranges;
                  return { experience, toleranceId, ranges: range ? { ...others, [hornId]: range } : others };
                });
                if (scale) void saveScale(scale);
                setUsed(true);
              }}
            >
              {t('hearing.use')}
            </ActionButton>
            <Box role="status">{isUsed && t('hearing.used')}</Box>
          </Flex>
        </Box>
      )}
      <Flex gap="5" wrap="wrap" mb="5" alignItems="center">
        {play}
        <ActionLink look="plain" to="/today">
          {t('today.back')}
        </ActionLink>
      </Flex>
      {before.length > 0 && (
        <Box as="ul" listStyleType="none" color="muted" data-testid="hearings-before">
          {before.slice(0, MOST_SHOWN).map((each) => (
            <li key={each.day}>
              {t('hearing.before', {
                date: dateText(parseISO(each.day), 'dayYear'),
                heard: heardText(each, naming, t),
              })}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}
