import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { familyById, type FamilyId } from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import type { SubtoneWindow } from '@inner-hum/core/judge';
import { failsEverywhere, type SubtoneTry } from '@inner-hum/core/plan';
import { lazy, Suspense } from 'react';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { NoteGlyph, noteText } from '../../notation/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import type { BenchNote } from './subtoneBench.ts';
import { SubtoneWindowFields } from './SubtoneWindowFields.tsx';

const SubtonePicture = lazy(() => import('./SubtonePicture.tsx'));

interface SubtoneViewProps {
  horn: Horn;
  notes: readonly BenchNote[];
  looked: BenchNote;
  tries: readonly SubtoneTry[];
  settings: SettingsRecord;
  onNote(note: number): void;
  onWindow(window: SubtoneWindow): void;
}

/** More tries than this of one note hide each other. */
const SHOWN = 24;

export function SubtoneView({ horn, notes, looked, tries, settings, onNote, onWindow }: SubtoneViewProps) {
  const { t } = useTranslation();
  const { naming, subtoneWindow } = settings;
  const name = noteText(looked.writtenMidi, naming);
  const last = looked.tries.at(-1);
  const play = (id: FamilyId) => {
    const family = familyById(id);
    const at = looked.writtenMidi;
    return family ? drillAddress(family, horn, { note: at, to: at }) : '/shelf';
  };
  return (
    <Box maxW="wide">
      <RoomHeading
        help="subtone"
        title={t('tone.bench')}
        aside={t('subtone.aside', { horn: t(`horn.${horn.id}`) })}
        end={
          <ActionLink look="plain" to="/ladder">
            {t('routes.back')}
          </ActionLink>
        }
      />
      {failsEverywhere(tries) && (
        <Box
          role="status"
          borderLeftWidth="4px"
          borderLeftStyle="solid"
          borderLeftColor="brass"
          pl="4"
          mb="4"
          maxW="page"
          data-testid="look-at-reed"
        >
          {t('subtone.reed')}
        </Box>
      )}
      <Flex direction={{ base: 'column', lg: 'row' }} columnGap="8" rowGap="5" alignItems="flex-start">
        <Box flex="1" minW="0" w="full">
          <NoteStrip notes={notes} looked={looked} naming={naming} onNote={onNote} />
          <Suspense fallback={null}>
            <SubtonePicture
              tries={looked.tries.slice(-SHOWN)}
              others={tries.filter(({ writtenMidi }) => writtenMidi !== looked.writtenMidi).slice(-SHOWN)}
              window={subtoneWindow}
              label={t('subtone.picture', { note: name, became: looked.became, count: looked.tries.length })}
            />
          </Suspense>
          <Box color="muted" fontSize="small">
            {t('subtone.legend')}
          </Box>
        </Box>
        <Box w={{ base: 'full', lg: 'list' }} flexShrink="0">
          <Heading as="h2" fontFamily="heading" fontSize="large" mb="1">
            <NoteGlyph midi={looked.writtenMidi} naming={naming} octave />:{' '}
            {looked.tries.length === 0
              ? t('subtone.untried')
              : t('subtone.became', { became: looked.became, count: looked.tries.length })}
          </Heading>
          {!looked.isBest && <Box color="muted">{t('subtone.fading')}</Box>}
          {last && (
            <Box fontFamily="heading" fontSize="medium" my="3" data-testid="subtone-last">
              {t(`subtone.kind.${last.depth.kind}`)}{' '}
              {t('subtone.figures', {
                airier: decimals(last.depth.airierDb, 0),
                softer: decimals(last.depth.softerDb, 0),
                percent: Math.round(100 * last.depth.centroidShare),
              })}{' '}
              {last.responseMs !== null &&
                t('subtone.response', { ms: Math.round(last.responseMs / 10) * 10 })}{' '}
              {last.vibratoHz !== null && t('subtone.swing', { hz: decimals(last.vibratoHz, 1) })}
            </Box>
          )}
          <ActionLink look="main" to={play('fullToSubtone')} mt="2" mb="3">
            {t('subtone.there')}
          </ActionLink>
          <Flex columnGap="4" wrap="wrap" mb="4">
            {(['subtoneFromAir', 'subtoneStarts', 'subtoneVibrato'] as const).map((id) => (
              <ActionLink key={id} look="plain" to={play(id)}>
                {t(`familyName.${id}`)}
              </ActionLink>
            ))}
          </Flex>
          <SubtoneWindowFields window={subtoneWindow} onChange={onWindow} />
        </Box>
      </Flex>
    </Box>
  );
}

interface NoteStripProps {
  notes: readonly BenchNote[];
  looked: BenchNote;
  naming: NoteNaming;
  onNote(note: number): void;
}

/** The notes of the bench, how many subtones became one under each. */
function NoteStrip({ notes, looked, naming, onNote }: NoteStripProps) {
  const { t } = useTranslation();
  return (
    <Flex as="ul" wrap="wrap" gap="1" mb="3">
      {notes.map((note) => {
        const { writtenMidi, tries, became, isBest } = note;
        const count = tries.length === 0 ? '–' : `${became}/${tries.length}`;
        return (
          <li key={writtenMidi}>
            <chakra.button
              type="button"
              aria-pressed={note === looked}
              aria-label={t('subtone.note', {
                note: noteText(writtenMidi, naming),
                became,
                count: tries.length,
              })}
              onClick={() => onNote(writtenMidi)}
              minW="touch"
              minH="touch"
              px="2"
              cursor="pointer"
              borderBottomWidth="4px"
              borderBottomStyle="solid"
              borderBottomColor={note === looked ? 'brass' : 'transparent'}
              color={isBest ? 'ink' : 'muted'}
            >
              <Box fontFamily="heading" fontSize="large" lineHeight="1.1">
                <NoteGlyph midi={writtenMidi} naming={naming} />
              </Box>
              <Box fontSize="small">{count}</Box>
            </chakra.button>
          </li>
        );
      })}
    </Flex>
  );
}
