import { Box, Flex, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { Evidence, MapFinding } from '@inner-hum/core/tendency';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton, ActionLink, RoomHeading } from '../../ui/index.ts';
import { decimals } from '../../words/index.ts';
import { type HornMap, useHornMap } from './useHornMap.ts';

/** Likely causes of what the map shows, each with its evidence and its next test. */
export function Component() {
  const data = useHornMap({ range: 'year', over: 'nothing' });
  if (!data) return null;
  const { dismissedFindings } = data.settings;
  return (
    <FindingsView
      data={data}
      onDismiss={(key) => void changeSettings({ dismissedFindings: [...dismissedFindings, key] })}
      onTakeUp={(key) =>
        void changeSettings({ dismissedFindings: dismissedFindings.filter((each) => each !== key) })
      }
    />
  );
}

interface FindingsViewProps {
  data: HornMap;
  onDismiss(key: string): void;
  onTakeUp(key: string): void;
}

function FindingsView({ data, onDismiss, onTakeUp }: FindingsViewProps) {
  const { t } = useTranslation();
  const { findings, settings, horn } = data;
  const isPutAside = ({ key }: MapFinding) => settings.dismissedFindings.includes(key);
  const sorted = findings.toSorted((a, b) => Number(isPutAside(a)) - Number(isPutAside(b)));
  return (
    <Box maxW="page">
      <RoomHeading
        help="findings"
        title={t('suspect.title')}
        aside={t(`horn.${horn.id}`)}
        end={
          <ActionLink look="plain" to="/map">
            {t('advise.back')}
          </ActionLink>
        }
      />
      <Box color="muted" maxW="prose" mb="4">
        {t('suspect.noDiagnosis')}
      </Box>
      {findings.length === 0 && <Box>{t(data.days.length === 0 ? 'advise.tooLittle' : 'suspect.none')}</Box>}
      <Box as="ul">
        {sorted.map((finding) => {
          const aside = isPutAside(finding);
          const { cause, key, evidence, confidence } = finding;
          return (
            <Box
              as="li"
              key={key}
              py="4"
              borderTopWidth="1px"
              borderTopStyle="solid"
              borderTopColor="line"
              opacity={aside ? 0.7 : 1}
              data-cause={cause}
            >
              <Flex gap="5" alignItems="baseline" wrap="wrap">
                <Heading as="h2" fontFamily="heading" fontSize="large">
                  {t(`suspect.name.${cause}`)}
                </Heading>
                <Box color="muted">{t(`suspect.confidence.${confidence}`)}</Box>
                <ActionButton look="plain" ml="auto" onClick={() => (aside ? onTakeUp(key) : onDismiss(key))}>
                  {t(aside ? 'suspect.takeUp' : 'suspect.putAside')}
                </ActionButton>
              </Flex>
              <Box as="ul" mb="2">
                {evidence.map((each) => (
                  <li key={each.kind}>
                    {evidenceText(each, settings.naming, t)}{' '}
                    <ActionLink look="plain" to={`/map?note=${each.lowest}`}>
                      {t('suspect.see', { note: noteText(each.lowest, settings.naming) })}
                    </ActionLink>
                  </li>
                ))}
              </Box>
              <Box maxW="prose">
                <strong>{t('suspect.next')}</strong> {t(`suspect.test.${cause}`)}
              </Box>
              <Box maxW="prose" color="muted">
                {t('suspect.wouldNot', { what: t(`suspect.refuted.${cause}`) })}
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** A figure behind a finding in words. */
function evidenceText(
  { kind, lowest, highest, value, tries }: Evidence,
  naming: NoteNaming,
  t: TFunction,
): string {
  const where =
    lowest === highest
      ? noteText(lowest, naming)
      : t('suspect.fromTo', { low: noteText(lowest, naming), high: noteText(highest, naming) });
  switch (kind) {
    case 'failsTongued':
    case 'failsBreath':
    case 'failsSoft':
    case 'failsLoud':
    case 'failsBefore':
    case 'failsAfter':
      return t(`suspect.figure.${kind}`, { where, percent: Math.round(100 * value), tries: tries ?? 0 });
    case 'cents':
      return t(value > 0 ? 'suspect.figure.sharp' : 'suspect.figure.flat', {
        where,
        count: Math.round(Math.abs(value)),
      });
    case 'bend':
      return t('suspect.figure.bend', { where, count: Math.round(Math.abs(value)) });
    case 'breathStep':
      return t('suspect.figure.breathStep', { where, db: decimals(Math.abs(value), 0) });
    case 'levelStep':
      return t(value > 0 ? 'suspect.figure.louder' : 'suspect.figure.softer', {
        where,
        db: decimals(Math.abs(value), 0),
      });
  }
}
