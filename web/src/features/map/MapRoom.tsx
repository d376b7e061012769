import { Box, Flex } from '@chakra-ui/react';
import { type DynamicScale, markFraction } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useElementSize } from '../../ribbon/index.ts';
import { useSetup } from '../../session/index.ts';
import { changeSettings } from '../../storage/index.ts';
import { ActionButton, Choice, RoomHeading, Select, useNarrow, useUrlState } from '../../ui/index.ts';
import { type MapLook, mapSearch, RANGES, readMapLook } from './mapAddress.ts';
import { MapColumns } from './MapColumns.tsx';
import { MapNames } from './MapNames.tsx';
import { MapPicture } from './MapPicture.tsx';
import { MapRows } from './MapRows.tsx';
import { mapScale } from './mapScale.ts';
import { MapTable } from './MapTable.tsx';
import { NotePanel } from './NotePanel.tsx';
import { RunLines } from './RunLines.tsx';
import { SaveMap } from './SaveMap.tsx';
import { type HornMap, useHornMap } from './useHornMap.ts';

/** Levels of pp and ff on a player's scale, in tens of dB from its middle. */
function softAndLoud({ floorDb, ceilingDb }: DynamicScale): { soft: number; loud: number } {
  const at = (fraction: number) => ((fraction - 0.5) * (ceilingDb - floorDb)) / 10;
  return { soft: at(markFraction('pp')), loud: at(markFraction('ff')) };
}

/** Every note of the horn: where it lies, how it speaks, and where it sticks out. */
export function Component() {
  const [look, go] = useUrlState(readMapLook, mapSearch);
  const setup = useSetup();
  const data = useHornMap(look);
  if (!data || !setup) return null;
  const { settings } = data;
  const { soft, loud } = softAndLoud(setup.scale);
  return (
    <MapView
      data={data}
      look={look}
      shift={settings.pitchShown === 'sounding' ? hornById(settings.hornId).transposition : 0}
      soft={soft}
      loud={loud}
      onLook={(change) => go(change)}
      onPitch={(pitchShown) => void changeSettings({ pitchShown })}
    />
  );
}

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

const LABELS_PX = 100;

function MapView(props: MapViewProps) {
  const { data, look, shift, soft, loud, onLook, onPitch } = props;
  const { t } = useTranslation();
  const [frame, { width }] = useElementSize();
  const picture = useRef<HTMLDivElement | null>(null);
  const narrow = useNarrow();
  const { settings, horn, map } = data;
  const { naming } = settings;
  const lowest = map.notes[0].writtenMidi;
  const highest = map.notes[map.notes.length - 1].writtenMidi;
  const scale = mapScale(lowest, highest, width, LABELS_PX);
  const days = data.days.length;
  // Nothing to say of it yet but how it is filled.
  const isNew = days === 0 && data.moves.length === 0;
  return (
    <Box maxW="wide">
      <RoomHeading
        help="map"
        title={t('map.title')}
        aside={[t(`horn.${horn.id}`), ...(days > 0 ? [t('map.days', { count: days })] : [])].join(' · ')}
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
      {days === 0 && (
        <Box maxW="prose" mb="4">
          {t('map.empty')}
        </Box>
      )}
      {isNew && (
        <Box mb="5">
          <RunLines data={data} shift={shift} />
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
          <Box ref={picture}>
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
            <MapRows data={data} scale={scale} />
          </Box>
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
        !isNew && <MapColumns data={data} shift={shift} onLook={(note) => onLook({ note })} />
      )}
      <MapTable data={data} shift={shift} soft={soft} loud={loud} />
      <SaveMap data={data} soft={soft} loud={loud} picture={picture} />
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
