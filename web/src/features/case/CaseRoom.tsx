import { Box, Flex } from '@chakra-ui/react';
import { CAUTIONS, EXPERIENCES } from '@inner-hum/core/exercise';
import { HORN_IDS } from '@inner-hum/core/horn';
import { type ToleranceId, TOLERANCES } from '@inner-hum/core/judge';
import { useLiveQuery } from 'dexie-react-hooks';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { hasBooks } from '../../books/index.ts';
import {
  type CalibrationRecord,
  changeSettings,
  readCalibration,
  readSettings,
  type SettingsChange,
  type SettingsRecord,
} from '../../storage/index.ts';
import { ActionLink, Choice, NumberField, RoomHeading, Section, useAddressedPart } from '../../ui/index.ts';
import { dateText, LANGUAGE_NAMES, LANGUAGES } from '../../words/index.ts';
import { BookFields } from './BookFields.tsx';
import { CapFields } from './CapFields.tsx';
import { HornCheckFields } from './HornCheckFields.tsx';
import { InstallLine } from './InstallLine.tsx';
import { KeyFields } from './KeyFields.tsx';
import { MicrophoneFields } from './MicrophoneFields.tsx';
import { MouthpieceFields } from './MouthpieceFields.tsx';
import { RangeFields } from './RangeFields.tsx';
import { ReedFields } from './ReedFields.tsx';

/** Gear and habits: horn, tuning, names, tolerances, keys, microphone. */
export function Component() {
  const settings = useLiveQuery(readSettings);
  const calibration = useLiveQuery(readCalibration);
  if (!settings || calibration === undefined) return null;
  return (
    <CaseView
      settings={settings}
      calibration={calibration}
      onChange={(change) => void changeSettings(change)}
    />
  );
}

interface CaseViewProps {
  settings: SettingsRecord;
  calibration: CalibrationRecord | null;
  onChange(change: SettingsChange): void;
}

const PROFILE_IDS = ['steady', 'goodDay', 'stair', 'slips', 'airy'] as const;

function CaseView({ settings, calibration, onChange }: CaseViewProps) {
  const { t } = useTranslation();
  useAddressedPart();
  const section = (id: string, title: string, children: ReactNode) => (
    <Section id={id} title={title}>
      <Flex columnGap={{ base: '6', md: '9' }} rowGap="4" wrap="wrap">
        {children}
      </Flex>
    </Section>
  );
  const oneOf = <Name extends keyof SettingsRecord, Value extends SettingsRecord[Name] & string>(
    name: Name,
    legend: string,
    values: readonly Value[],
    label: (value: Value) => string,
  ) => (
    <Choice
      legend={legend}
      value={settings[name] as Value}
      onChange={(value) => onChange({ [name]: value })}
      options={values.map((value) => ({ value, label: label(value) }))}
    />
  );
  return (
    <Box maxW="page">
      <RoomHeading title={t('case.title')} help="case" />
      {section(
        'horn',
        t('case.horn'),
        <>
          {oneOf('hornId', t('welcome.horn'), HORN_IDS, (id) => t(`horn.${id}`))}
          <NumberField
            label={t('case.a4')}
            less={t('case.a4Down')}
            more={t('case.a4Up')}
            value={settings.a4Hz}
            min={390}
            max={470}
            unit="Hz"
            onChange={(a4Hz) => onChange({ a4Hz })}
          />
          <RangeFields settings={settings} onChange={onChange} />
          <MouthpieceFields settings={settings} />
        </>,
      )}
      {section('reeds', t('reed.title'), <ReedFields settings={settings} />)}
      {section('checks', t('check.title'), <HornCheckFields settings={settings} onChange={onChange} />)}
      {section(
        'input',
        t('case.input'),
        <>
          {oneOf('source', t('welcome.source'), ['microphone', 'standIn'], (value) => t(`source.${value}`))}
          {settings.source === 'standIn' &&
            oneOf('profileId', t('case.profile'), PROFILE_IDS, (id) =>
              t(`profile.${id as (typeof PROFILE_IDS)[number]}`),
            )}
          {settings.source === 'standIn' &&
            oneOf('pace', t('case.pace'), ['realTime', 'quick'], (pace) => t(`pace.${pace}`))}
          {settings.source === 'microphone' && <MicrophoneFields />}
          {settings.source === 'microphone' && (
            <Box maxW="prose">
              <Box mb="2">
                {calibration
                  ? t('case.calibrated', { date: dateText(calibration.madeAt, 'dayTime') })
                  : t('case.notCalibrated')}
              </Box>
              <ActionLink to="/case/calibrate">{t('case.calibrate')}</ActionLink>
            </Box>
          )}
          <Box color="muted" maxW="prose" w="full">
            {t('case.meterCaution')}
          </Box>
        </>,
      )}
      {section(
        'tolerance',
        t('case.judging'),
        <>
          {oneOf('experience', t('welcome.experience'), EXPERIENCES, (value) => t(`experience.${value}`))}
          <Flex alignItems="flex-end">
            <ActionLink to="/case/hearing">{t('hearing.title')}</ActionLink>
          </Flex>
          {oneOf('toleranceId', t('case.tolerance'), ['relaxed', 'usual', 'strict'], (id: ToleranceId) =>
            t('case.toleranceOf', {
              name: t(`tolerance.${id}`),
              cents: TOLERANCES[id].pitchCents,
              db: TOLERANCES[id].swellErrorDb,
            }),
          )}
        </>,
      )}
      {section(
        'display',
        t('case.display'),
        <>
          {oneOf('language', t('case.language'), ['device', ...LANGUAGES], (value) =>
            value === 'device' ? t('case.languageOfDevice') : LANGUAGE_NAMES[value],
          )}
          {oneOf('naming', t('case.naming'), ['letters', 'german', 'fixedDo'], (value) =>
            t(`naming.${value}`),
          )}
          {oneOf('pitchShown', t('case.pitchShown'), ['written', 'sounding'], (value) =>
            t(`pitchShown.${value}`),
          )}
          {oneOf('csv', t('case.csv'), ['language', 'comma', 'semicolon'], (value) => t(`csv.${value}`))}
          {oneOf('theme', t('case.theme'), ['system', 'daylight', 'stage'], (value) => t(`theme.${value}`))}
          <Flex alignItems="flex-end">
            <ActionLink to="/reading">{t('case.reading')}</ActionLink>
          </Flex>
          <InstallLine />
        </>,
      )}
      {hasBooks && section('books', t('book.title'), <BookFields />)}
      {section(
        'backup',
        t('case.keeping'),
        <Box maxW="prose">
          <Box mb="3">{t('keeping.aside')}</Box>
          <ActionLink to="/case/keeping">{t('case.toKeeping')}</ActionLink>
        </Box>,
      )}
      {section('keys', t('case.keys'), <KeyFields settings={settings} onChange={onChange} />)}
      {section(
        'care',
        t('case.care'),
        <>
          <CapFields settings={settings} onChange={onChange} />
          <Box as="ul" maxW="prose" w="full">
            {CAUTIONS.map((name) => (
              <Box as="li" key={name} mb="2">
                {t(`care.${name}`)}
              </Box>
            ))}
          </Box>
        </>,
      )}
    </Box>
  );
}
