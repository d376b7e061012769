import { Box, Flex, Heading } from '@chakra-ui/react';
import { familyById, type Choices, type FamilyId } from '@inner-hum/core/exercise';
import {
  fingeringsOf,
  isShortTube,
  regularFingering,
  routesTo,
  type Horn,
  type Route,
} from '@inner-hum/core/horn';
import { rungOf, type Rung, type RungTry } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { drillAddress } from '../../addresses/index.ts';
import { ClearTrend } from '../../listing/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { FingeringDiagram, NoteGlyph } from '../../notation/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';
import type { Tuning } from './ladderAddress.ts';
import { rungFigures } from './rungText.ts';

interface RungPanelProps {
  horn: Horn;
  looked: Rung;
  next: Rung | null;
  tries: readonly RungTry[];
  tuning: Tuning;
  settings: SettingsRecord;
  onLook(rung: Rung): void;
}

const DIAGRAM_PX = 72;

/** All ways to the note that is looked at, what can be played on the chosen rung, and which rung is next and why. */
export function RungPanel({ horn, looked, next, tries, tuning, settings, onLook }: RungPanelProps) {
  const { t } = useTranslation();
  const { naming } = settings;
  const routes = routesTo(looked.sounding, horn);
  const play = (id: FamilyId, choices: Choices) => {
    const family = familyById(id);
    return family ? drillAddress(family, horn, choices) : '/shelf';
  };
  const rung = { note: looked.fingered, partial: Math.max(2, looked.partial), overtones: tuning };
  const hasRegular = routes.some(({ kind }) => kind === 'regular') && looked.partial > 1;
  return (
    <Box>
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="2">
        <NoteGlyph midi={looked.sounding} naming={naming} octave />{' '}
        {t('ladder.ways', { count: routes.length })}
      </Heading>
      <Box as="ul" mb="4">
        {routes.map((route) => (
          <RouteRow
            key={`${route.kind} ${route.fingered}`}
            route={route}
            isLooked={route.fingered === looked.fingered && route.partial === looked.partial}
            rung={rungOf(route.fingered, route.partial, tries)}
            tuning={tuning}
            settings={settings}
          />
        ))}
      </Box>
      {isShortTube(looked.fingered) ? (
        <ActionLink
          look="main"
          to={play('fifths', { note: looked.fingered, to: looked.fingered, tries: 4 })}
          mb="5"
        >
          {t('familyName.fifths')}
        </ActionLink>
      ) : looked.partial === 1 ? (
        <ActionLink look="main" to={play('overtoneClimb', { ...rung, partial: 2 })} mb="5">
          {t('familyName.overtoneClimb')}
        </ActionLink>
      ) : (
        <>
          <ActionLink look="main" to={play('overtoneEar', rung)} mb="3">
            {t('ladder.ear')}
          </ActionLink>
          <Flex columnGap="4" wrap="wrap" mb="5">
            <ActionLink look="plain" to={play('overtoneHits', rung)}>
              {t('familyName.overtoneHits')}
            </ActionLink>
            <ActionLink look="plain" to={play('overtoneClimb', rung)}>
              {t('familyName.overtoneClimb')}
            </ActionLink>
            <ActionLink look="plain" to={play('overtoneCascade', { ...rung, to: looked.fingered })}>
              {t('familyName.overtoneCascade')}
            </ActionLink>
            {hasRegular && (
              <>
                <ActionLink look="plain" to={play('overtoneSwitch', rung)}>
                  {t('familyName.overtoneSwitch')}
                </ActionLink>
                <ActionLink look="plain" to={play('overtoneMatch', rung)}>
                  {t('familyName.overtoneMatch')}
                </ActionLink>
              </>
            )}
          </Flex>
        </>
      )}
      <ClearTrend rung={looked} tries={tries} label={t('ladder.clearTrend')} />
      <Box borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line" pt="3" data-testid="next-rung">
        {next ? (
          <>
            <Box fontFamily="heading" fontSize="medium">
              {t('ladder.next')} <NoteGlyph midi={next.fingered} naming={naming} /> ×{next.partial},{' '}
              <NoteGlyph midi={next.sounding} naming={naming} octave />
            </Box>
            <Box color="muted">
              {next.tries === 0
                ? t('ladder.whyFresh')
                : t('ladder.why', { figures: rungFigures(next, tuning, t) })}
            </Box>
            {next !== looked && (
              <ActionButton look="plain" onClick={() => onLook(next)}>
                {t('builder.showIt')}
              </ActionButton>
            )}
          </>
        ) : (
          t('ladder.allReached')
        )}
      </Box>
    </Box>
  );
}

interface RouteRowProps {
  route: Route;
  isLooked: boolean;
  rung: Rung;
  tuning: Tuning;
  settings: SettingsRecord;
}

function RouteRow({ route, isLooked, rung, tuning, settings }: RouteRowProps) {
  const { t } = useTranslation();
  const { naming } = settings;
  const { kind, fingered, partial } = route;
  return (
    <Flex
      as="li"
      gap="4"
      alignItems="center"
      py="2"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
      borderLeftWidth="4px"
      borderLeftStyle="solid"
      borderLeftColor={isLooked ? 'brass' : 'transparent'}
      pl="3"
    >
      {(kind === 'regular' ? fingeringsOf(fingered) : [regularFingering(fingered)]).map((fingering) => (
        <FingeringDiagram key={fingering.join()} fingering={fingering} height={DIAGRAM_PX} />
      ))}
      <Box minW="0">
        <Box fontFamily="heading" fontSize="medium">
          {kind === 'regular' ? (
            t('ladder.regular')
          ) : (
            <>
              <NoteGlyph midi={fingered} naming={naming} octave /> ×{partial}
            </>
          )}
        </Box>
        <Box>
          {kind === 'regular'
            ? t(route.octaveKey ? 'ladder.withOctave' : 'ladder.own')
            : t(`ladder.kind.${kind}`, { partial })}
        </Box>
        {(kind !== 'regular' || rung.tries > 0) && (
          <Box color="muted" fontSize="small">
            {rungFigures(rung, tuning, t)}
          </Box>
        )}
      </Box>
    </Flex>
  );
}
