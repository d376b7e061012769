import { Box, Flex } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { fifthRungs, ladder, nextRung, type Rung, type RungTry } from '@inner-hum/core/plan';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { playersHorn } from '../../addresses/index.ts';
import { useRungTries } from '../../listing/index.ts';
import { readSettings, type SettingsRecord } from '../../storage/index.ts';
import { ActionLink, Choice, RoomHeading, useNarrow, useUrlState } from '../../ui/index.ts';
import { type LadderLook, lookedAt, lookSearch, readLook, type Tuning } from './ladderAddress.ts';
import { LadderPicture } from './LadderPicture.tsx';
import { RungPanel } from './RungPanel.tsx';

/** Fundamentals by partials: what speaks on this horn, and which rung is next. */
export function Component() {
  const [look, go] = useUrlState(readLook, lookSearch);
  const settings = useLiveQuery(readSettings);
  const tries = useRungTries(settings);
  const horn = settings && playersHorn(settings);
  const rungs = useMemo(() => (horn && tries ? ladder(horn, tries) : null), [horn, tries]);
  const fifths = useMemo(() => (horn && tries ? fifthRungs(horn, tries) : null), [horn, tries]);
  const next = useMemo(() => rungs && fifths && nextRung(rungs, fifths), [rungs, fifths]);
  if (!settings || !horn || !rungs || !fifths || !tries) return null;
  return (
    <LadderView
      horn={horn}
      rungs={rungs}
      fifths={fifths}
      tries={tries}
      next={next}
      looked={lookedAt([...rungs, ...fifths], look, next)}
      tuning={look.tuning}
      settings={settings}
      onLook={(change) => go(change)}
    />
  );
}

interface LadderViewProps {
  horn: Horn;
  rungs: readonly (readonly Rung[])[];
  /** Overblown fifths, a column each. */
  fifths: readonly (readonly Rung[])[];
  tries: readonly RungTry[];
  next: Rung | null;
  looked: Rung;
  tuning: Tuning;
  settings: SettingsRecord;
  onLook(change: Partial<LadderLook>): void;
}

const DESK_PX = 660;
const PHONE_PX = 560;

function LadderView(props: LadderViewProps) {
  const { horn, rungs, fifths, next, looked, tuning, settings, onLook } = props;
  const { t } = useTranslation();
  const narrow = useNarrow();
  const look = ({ fingered, partial }: Rung) => onLook({ fingered, partial });
  return (
    <Box maxW="wide">
      <RoomHeading
        help="ladder"
        title={t('ladder.title')}
        aside={t('ladder.aside', { horn: t(`horn.${horn.id}`) })}
        end={
          <Flex gap="5" wrap="wrap" alignItems="center">
            <Choice
              legend={t('option.overtones')}
              hideLegend
              value={tuning}
              onChange={(value) => onLook({ tuning: value })}
              options={(['tempered', 'pure'] as const).map((value) => ({
                value,
                label: t(`chosen.${value}`),
              }))}
            />
            <ActionLink look="plain" to="/ladder/routes">
              {t('ladder.toRoutes')}
            </ActionLink>
            <ActionLink look="plain" to="/ladder/subtone">
              {t('ladder.toSubtone')}
            </ActionLink>
            <ActionLink look="plain" to="/ladder/match">
              {t('ladder.toMatch')}
            </ActionLink>
          </Flex>
        }
      />
      <Flex direction={{ base: 'column', lg: 'row' }} columnGap="8" rowGap="5" alignItems="flex-start">
        <Box flex="1" minW="0" w="full">
          <LadderPicture
            rungs={rungs}
            fifths={fifths}
            looked={looked}
            next={next}
            tuning={tuning}
            naming={settings.naming}
            height={narrow ? PHONE_PX : DESK_PX}
            onLook={look}
          />
          <Box color="muted" fontSize="small">
            {t('ladder.legend')}
          </Box>
        </Box>
        <Box w={{ base: 'full', lg: 'panel' }} flexShrink="0">
          <RungPanel
            horn={horn}
            looked={looked}
            next={next}
            tries={props.tries}
            tuning={tuning}
            settings={settings}
            onLook={look}
          />
        </Box>
      </Flex>
    </Box>
  );
}
