import { Box, Flex, Heading } from '@chakra-ui/react';
import { familyById } from '@inner-hum/core/exercise';
import { chartRun } from '@inner-hum/core/tendency';
import type { TFunction } from 'i18next';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useElementWidth } from '../../ribbon/index.ts';
import { drillAddress } from '../../session/index.ts';
import {
  ActionButton,
  ActionLink,
  Choice,
  noteText,
  RoomHeading,
  Select,
  useNarrow,
} from '../../ui/index.ts';
import { AdviceLines } from './AdviceLines.tsx';
import { FindingLines } from './FindingLines.tsx';
import { RANGES, type MapLook } from './mapAddress.ts';
import { MapNames } from './MapNames.tsx';
import { MapPicture } from './MapPicture.tsx';
import { MapRow } from './MapRow.tsx';
import { mapScale } from './mapScale.ts';
import { MapTable } from './MapTable.tsx';
import { evennessText, standingOut } from './mapText.ts';
import { NotePanel } from './NotePanel.tsx';
import { KNOWN_CENTS, type HornMap } from './useHornMap.ts';

interface MapViewProps {
  data: HornMap;
  look: MapLook;
  /** Half steps from written to what is shown. */
  shift: number;
  soft: number;
  loud: number;
  onLook(change: Partial<MapLook>): void;
  onPitch(shown: 'written' | 'sounding'): void;
}

const LABELS_PX = 84;
/** A chart run of more would take longer than ten minutes. */
const MOST_RUN = 40;
const SECONDS_A_NOTE = 9;
const STAND_OUT = 3;

export function MapView(props: MapViewProps) {
  const { data, look, shift, soft, loud, onLook, onPitch } = props;
  const { t } = useTranslation();
  const [frame, width] = useElementWidth();
  const narrow = useNarrow();
  const { settings, horn, map, sums, rows } = data;
  const { naming } = settings;
  const lowest = map.notes[0].writtenMidi;
  const highest = map.notes[map.notes.length - 1].writtenMidi;
  const scale = mapScale(lowest, highest, width, LABELS_PX);
  const takes = data.days.length;
  return (
    <Box maxW="wide">
      <RoomHeading
        title={t('map.title')}
        aside={[t(`horn.${horn.id}`), t('map.days', { count: takes })].join(' · ')}
        end={
          <Flex gap="5" wrap="wrap" alignItems="flex-end">
            <Choice
              legend={t('map.pitch')}
              hideLegend
              value={settings.pitchShown}
              onChange={onPitch}
              options={(['written', 'sounding'] as const).map((value) => ({
                value,
                label: t(`map.${value}`),
              }))}
            />
            <Select
              label={t('map.range')}
              value={look.range}
              onChange={(range) => onLook({ range: RANGES.find((each) => each === range) ?? 'year' })}
              plain={RANGES.filter((range) => range !== 'move' || data.moves.length > 0).map((value) => ({
                value,
                label: t(`map.ranges.${value}`),
              }))}
            />
            <Select
              label={t('map.over')}
              value={data.over}
              onChange={(over) => onLook({ over })}
              plain={[
                { value: 'nothing', label: t('map.overNothing') },
                ...(look.range === 'all' ? [] : [{ value: 'before', label: t('map.overBefore') }]),
                ...data.others.map(({ setup, mouthpiece, reedKind }) => ({
                  value: setup,
                  label: setupText(mouthpiece.name, reedKind, t),
                })),
              ]}
            />
          </Flex>
        }
      />
      {takes === 0 && (
        <Box maxW="prose" mb="4">
          {t('map.empty')}
        </Box>
      )}
      {narrow && (
        <Flex gap="4" mb="2" aria-label={t('map.registers')} role="group">
          {(['low', 'middle', 'high', 'palm'] as const).map((register) => (
            <ActionButton key={register} look="plain" onClick={() => showRegister(register)}>
              {t(`register.${register}`)}
            </ActionButton>
          ))}
        </Flex>
      )}
      <Box
        ref={frame}
        overflowX="auto"
        overflowY="hidden"
        tabIndex={0}
        role="region"
        aria-label={t('map.picture')}
      >
        {width > 0 && (
          <>
            <MapPicture
              map={map}
              pitch={data.pitch}
              under={data.under}
              scale={scale}
              looked={look.note}
              soft={soft}
              loud={loud}
            />
            <MapNames
              map={map}
              scale={scale}
              looked={look.note}
              naming={naming}
              shift={shift}
              soft={soft}
              loud={loud}
              onLook={(note) => onLook({ note })}
            />
            <MapRow
              label={t('map.row.responseMs')}
              unitText={(top) => t('map.unit.ms', { top: Math.round(top / 10) * 10 })}
              scale={scale}
              sums={sums}
              evenness={rows.responseMs}
              value={({ measures: { responseMs } }) => (responseMs === null ? null : [0, responseMs])}
            />
            <MapRow
              label={t('map.row.holdSeconds')}
              unitText={(top) => t('map.unit.seconds', { top: Math.round(top) })}
              scale={scale}
              sums={sums}
              evenness={rows.holdSeconds}
              value={({ measures: { holdSeconds } }) => (holdSeconds === null ? null : [0, holdSeconds])}
            />
            <MapRow
              label={t('map.row.breathDb')}
              unitText={() => t('map.unit.db')}
              scale={scale}
              sums={sums}
              evenness={rows.breathDb}
              least={-40}
              most={0}
              value={({ measures: { breathDb } }) => (breathDb === null ? null : [-40, breathDb])}
            />
            <MapRow
              label={t('map.row.brightness')}
              unitText={(top) => t('map.unit.harmonic', { top: top.toFixed(1) })}
              scale={scale}
              sums={sums}
              evenness={rows.brightness}
              value={({ measures: { brightness } }) => (brightness === null ? null : [0, brightness])}
            />
            <MapRow
              label={t('map.row.reach')}
              unitText={() => 'ppp – fff'}
              scale={scale}
              sums={sums}
              evenness={rows.levelDb}
              most={1}
              value={({ softest, loudest }) =>
                softest === null || loudest === null ? null : [softest, loudest]
              }
            />
          </>
        )}
      </Box>
      {look.note !== null ? (
        <NotePanel
          data={data}
          note={look.note}
          shift={shift}
          soft={soft}
          loud={loud}
          onClose={() => onLook({ note: null })}
        />
      ) : (
        <Flex
          mt="5"
          columnGap="7"
          rowGap="5"
          wrap="wrap"
          borderTopWidth="1px"
          borderTopStyle="solid"
          borderTopColor="line"
          pt="4"
        >
          <Column title={t('map.sticksOut')}>
            <StandingLines data={data} shift={shift} onLook={(note) => onLook({ note })} />
          </Column>
          <Column title={t('map.mouthpiece')}>
            <AdviceLines data={data} />
          </Column>
          <Column title={t('map.toLookInto')}>
            <FindingLines data={data} />
          </Column>
          <Column title={t('map.uncertain')}>
            <RunLines data={data} shift={shift} />
          </Column>
        </Flex>
      )}
      <MapTable data={data} shift={shift} soft={soft} loud={loud} />
    </Box>
  );
}

const FIRST_OF = { low: 58, middle: 63, high: 74, palm: 86 };

/** The map is wider than a phone: scrolls to where a register begins. */
function showRegister(register: keyof typeof FIRST_OF) {
  document
    .querySelector(`[data-note="${FIRST_OF[register]}"]`)
    ?.scrollIntoView({ inline: 'center', block: 'nearest' });
}

/** A set-up as the player calls it. */
const setupText = (mouthpiece: string, reedKind: string, t: TFunction) =>
  [mouthpiece || t('mouthpiece.unnamed'), reedKind].filter(Boolean).join(' · ');

function Column({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box flex="1" minW="quarter" maxW="list">
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

interface StandingLinesProps {
  data: HornMap;
  shift: number;
  onLook(note: number): void;
}

function StandingLines({ data, shift, onLook }: StandingLinesProps) {
  const { t } = useTranslation();
  const lines = standingOut(data, shift, STAND_OUT, t);
  return (
    <>
      <Box color="muted" mb="1" data-testid="evenness">
        {evennessText(data, t)}
      </Box>
      {lines.length === 0 ? (
        <Box>{t('map.nothingSticksOut')}</Box>
      ) : (
        <Box as="ul" data-testid="sticks-out">
          {lines.map(({ key, note, text }) => (
            <li key={key}>
              <ActionButton look="plain" textAlign="left" onClick={() => onLook(note)}>
                {text}
              </ActionButton>
            </li>
          ))}
        </Box>
      )}
    </>
  );
}

/** The notes that are not known yet, and the run that fills them in. */
function RunLines({ data, shift }: { data: HornMap; shift: number }) {
  const { t } = useTranslation();
  const { horn, map, settings } = data;
  const family = familyById('chartRun');
  const inRange = map.notes.filter(
    ({ writtenMidi }) => writtenMidi >= horn.lowest && writtenMidi <= horn.highest,
  );
  const open = inRange.filter(({ placeError }) => placeError > KNOWN_CENTS);
  const run = chartRun(map, MOST_RUN).filter((midi) => midi >= horn.lowest && midi <= horn.highest);
  if (!family || run.length === 0) return <Box>{t('map.allKnown')}</Box>;
  const names = open.slice(0, 8).map(({ writtenMidi }) => noteText(writtenMidi + shift, settings.naming));
  return (
    <>
      <Box mb="2" data-testid="map-progress">
        {t('map.known', { known: inRange.length - open.length, count: inRange.length })}{' '}
        {open.length > 0 && open.length <= 8 && t('map.openNotes', { notes: names.join(', ') })}
      </Box>
      <ActionLink
        look={data.days.length === 0 ? 'main' : 'line'}
        to={drillAddress(family, horn, { notes: run.join('.') })}
      >
        {t('map.run', { count: Math.max(1, Math.ceil((run.length * SECONDS_A_NOTE) / 60)) })}
      </ActionLink>
    </>
  );
}
