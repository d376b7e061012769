import { Box, Flex, Heading } from '@chakra-ui/react';
import { type Experience, EXPERIENCES } from '@inner-hum/core/exercise';
import { HORN_IDS } from '@inner-hum/core/horn';
import { useLiveQuery } from 'dexie-react-hooks';
import { lazy, Suspense, useDeferredValue } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { changeSettings, readSettings, type SettingsRecord } from '../../storage/index.ts';
import { ActionButton, ActionLink, Choice } from '../../ui/index.ts';
import { LANGUAGE_NAMES, LANGUAGES } from '../../words/index.ts';

const JUDGED: Record<Experience, SettingsRecord['toleranceId']> = {
  firstYear: 'relaxed',
  someYears: 'usual',
  advanced: 'usual',
};

/** What an answer to how long one has played sets, before anything is played; each has its own place in the Case. */
const startingAs = (experience: Experience): Partial<SettingsRecord> => ({
  experience,
  toleranceId: JUDGED[experience],
});

const NAMING: Partial<Record<string, SettingsRecord['naming']>> = { de: 'german', it: 'fixedDo' };

/** A first visit: four questions, then the first take. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const navigate = useNavigate();
  const { i18n } = useTranslation();
  if (!settings) return null;
  return (
    <WelcomeView
      settings={settings}
      onChange={(change) => void changeSettings(change)}
      onBegin={async (where) => {
        // The note names that go with the language; both have a setting of their own in the Case.
        await changeSettings({ visited: true, naming: NAMING[i18n.language] ?? 'letters' });
        await navigate(where);
      }}
    />
  );
}

const WelcomeRibbon = lazy(() => import('./WelcomeRibbon.tsx'));
const RIBBON_HEIGHT = 190;

interface WelcomeViewProps {
  settings: SettingsRecord;
  onChange(change: Partial<SettingsRecord>): void;
  onBegin(where: string): void;
}

const MINUTES = ['5', '10', '15', '20', '30', 'later'] as const;

function WelcomeView({ settings, onChange, onBegin }: WelcomeViewProps) {
  const { t, i18n } = useTranslation();
  // Its code is asked for when the questions stand.
  const showsRibbon = useDeferredValue(true, false);
  const minutes = MINUTES.find((value) => value === String(settings.minutes)) ?? 'later';
  return (
    <Box as="main" maxW="page" mx="auto" px={{ base: '4', md: '8' }} py="7">
      <Box fontSize="medium" maxW="page" mb="4">
        {t('welcome.what')}
      </Box>
      <Heading as="h1" fontFamily="heading" fontSize={{ base: 'title', md: 'display' }}>
        {t('welcome.title')}
      </Heading>
      <Box color="muted" fontSize="medium" maxW="prose" mt="2" mb="5">
        {t('welcome.text')}
      </Box>
      {/* It waits for the listener: the questions do not. */}
      <Box h={`${RIBBON_HEIGHT}px`}>
        <Suspense fallback={null}>{showsRibbon && <WelcomeRibbon height={RIBBON_HEIGHT} />}</Suspense>
      </Box>
      <Flex direction="column" gap="4" mt="6" fontSize="medium">
        <Choice
          legend={t('welcome.horn')}
          value={settings.hornId}
          onChange={(hornId) => onChange({ hornId })}
          options={HORN_IDS.map((value) => ({ value, label: t(`horn.${value}`) }))}
        />
        <Flex columnGap="9" rowGap="4" wrap="wrap">
          <Choice
            legend={t('welcome.experience')}
            value={settings.experience}
            onChange={(experience) => onChange(startingAs(experience))}
            options={EXPERIENCES.map((value) => ({ value, label: t(`experience.${value}`) }))}
          />
          <Choice
            legend={t('welcome.minutes')}
            value={minutes}
            onChange={(value) => onChange({ minutes: value === 'later' ? null : Number(value) })}
            options={MINUTES.map((value) => ({
              value,
              label: value === 'later' ? t('welcome.later') : value,
            }))}
          />
          <Choice
            legend={t('welcome.source')}
            value={settings.source}
            onChange={(source) => onChange({ source })}
            options={(['microphone', 'standIn'] as const).map((value) => ({
              value,
              label: t(`source.${value}`),
            }))}
          />
        </Flex>
      </Flex>
      <Flex mt="6" gap="5" alignItems="center" wrap="wrap">
        <ActionButton look="main" onClick={() => onBegin('/stand/swell')}>
          {t('welcome.begin')}
        </ActionButton>
        <ActionButton look="plain" onClick={() => onBegin('/case/hearing')}>
          {t('welcome.listen')}
        </ActionButton>
        <ActionLink look="plain" to="/reading">
          {t('welcome.reading')}
        </ActionLink>
        <ActionButton look="plain" onClick={() => onBegin('/stand')}>
          {t('welcome.desk')}
        </ActionButton>
      </Flex>
      <Box color="muted" fontSize="small" maxW="prose" mt="5" mb="4">
        {t('welcome.care')}
      </Box>
      <Choice
        legend={t('welcome.language')}
        value={LANGUAGES.find((each) => each === i18n.language) ?? 'en'}
        onChange={(language) => onChange({ language })}
        options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
      />
    </Box>
  );
}
