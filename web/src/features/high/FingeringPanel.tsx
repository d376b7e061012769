import { Box, Flex, Heading } from '@chakra-ui/react';
import { familyById, type FamilyId } from '@inner-hum/core/exercise';
import { fingeringKey, readFingeringKey, type Horn, type NoteNaming } from '@inner-hum/core/horn';
import { highFigures } from '@inner-hum/core/plan';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import { FingeringDiagram, fingeringText, NoteGlyph } from '../../notation/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';
import type { HighLook } from './highAddress.ts';
import { figureRows } from './highText.ts';

interface FingeringPanelProps {
  look: HighLook;
  horn: Horn;
  naming: NoteNaming;
  /** The one taken off the chart last, if it is of this note. */
  takenOff: string | null;
  onKeys(word: string): void;
  onPrefer(preferred: boolean): void;
  onChart(isOn: boolean): void;
  onRestore(): void;
}

const DIAGRAM_PX = 250;

/** What is played on one high note, the main one first. */
const DRILLS = [
  'highImagine',
  'highByOvertone',
  'highByStep',
  'highHold',
  'highSwell',
  'voicingDrop',
  'raisedNotes',
  'voicedNote',
] as const satisfies readonly FamilyId[];

/** One fingering closely: its keys, which can be changed here, its figures, what to play with it, and what one settles on. */
export function FingeringPanel(props: FingeringPanelProps) {
  const { look, horn, naming, takenOff, onKeys, onPrefer, onChart, onRestore } = props;
  const { note, word, charted } = look;
  const { t } = useTranslation();
  const keys = readFingeringKey(word);
  const figures = charted?.figures ?? highFigures(note.writtenMidi, word, []);
  const play = (id: FamilyId) => {
    const family = familyById(id);
    return family ? drillAddress(family, horn, { note: note.writtenMidi, keys: word }) : '/shelf';
  };
  const state = charted?.preferred
    ? t('high.preferred')
    : charted?.isStart
      ? t('high.startHereLong')
      : charted
        ? t('high.onChart')
        : t('high.notOnChart');
  return (
    <Box as="section" aria-label={t('high.panel')}>
      <Heading as="h2" fontFamily="heading" fontSize="large">
        <NoteGlyph midi={note.writtenMidi} naming={naming} octave /> {t('high.byTheseKeys')}
      </Heading>
      <Box color="muted" mb="2" data-testid="high-state">
        {state}
      </Box>
      <Flex gap="5" alignItems="flex-start" mb="3">
        <FingeringDiagram
          fingering={keys}
          height={DIAGRAM_PX}
          onToggle={(key) =>
            onKeys(fingeringKey(keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key]))
          }
        />
        <Box flex="1" minW="0">
          <Box as="dl" data-testid="high-figures">
            {figureRows(figures, t).map(({ name, text }) => (
              <Box key={name} mb="2">
                <Box as="dt" color="muted" fontSize="small">
                  {name}
                </Box>
                <Box as="dd">{text}</Box>
              </Box>
            ))}
          </Box>
          <Box color="muted" fontSize="small">
            {t('high.pressKeys')}
          </Box>
        </Box>
      </Flex>
      <Box srOnly>{fingeringText(keys, t)}</Box>
      <ActionLink look="main" to={play('highTries')} mb="3">
        {t('high.try')}
      </ActionLink>
      <Flex columnGap="4" rowGap="1" wrap="wrap" mb="3">
        {charted ? (
          <>
            <ActionButton onClick={() => onPrefer(!charted.preferred)}>
              {t(charted.preferred ? 'high.letGo' : 'high.prefer')}
            </ActionButton>
            <ActionButton look="plain" onClick={() => onChart(false)}>
              {t('high.takeOff')}
            </ActionButton>
          </>
        ) : (
          <ActionButton onClick={() => onChart(true)}>{t('high.putOn')}</ActionButton>
        )}
        {takenOff !== null && (
          <ActionButton look="plain" onClick={onRestore}>
            {t('high.putBack')}
          </ActionButton>
        )}
      </Flex>
      <Box mb="4" data-testid="high-told">
        {told(look, t)}
      </Box>
      <Box as="h3" color="muted" fontSize="small">
        {t('high.drills')}
      </Box>
      <Flex columnGap="4" wrap="wrap">
        {DRILLS.map((id) => (
          <ActionLink key={id} look="plain" to={play(id)}>
            {t(`familyName.${id}`)}
          </ActionLink>
        ))}
        <ActionLink look="plain" to="/stand/drill/highScales">
          {t('familyName.highScales')}
        </ActionLink>
      </Flex>
    </Box>
  );
}

/** What the tries of this note say of its fingerings against each other. */
function told({ note, word }: HighLook, t: TFunction): string {
  const tried = note.fingerings.filter(({ figures }) => figures.tries > 0);
  if (tried.length < 2) return t('high.compareMore');
  if (!note.best) return t('high.notTold');
  return note.best.word === word ? t('high.best') : t('high.otherBest');
}
