import { Box, Flex } from '@chakra-ui/react';
import { chartToCsv, chartToJson } from '@inner-hum/core/formats';
import type { Horn } from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { playersHorn } from '../../addresses/index.ts';
import { csvStyle, decideOn } from '../../storage/index.ts';
import { usePlayingLoadToday } from '../../today/index.ts';
import { ActionButton, ActionLink, downloadFile, RoomHeading, useSearch } from '../../ui/index.ts';
import { FingeringPanel } from './FingeringPanel.tsx';
import { type HighLook, highSearch, readHighLook } from './highAddress.ts';
import { HighNoteRow } from './HighNoteRow.tsx';
import { type HighChart, useHighChart } from './useHighChart.ts';

const TYPES = { csv: 'text/csv', json: 'application/json' };

/** The player's own altissimo, fingering by fingering, as the tries have it. */
export function Component() {
  const [search, ask] = useSearch();
  const chart = useHighChart();
  const playingLoad = usePlayingLoadToday(chart?.settings);
  const [takenOff, setTakenOff] = useState<{ note: number; word: string } | null>(null);
  if (!chart) return null;
  const { settings, mouthpiece, notes } = chart;
  const look = readHighLook(search, notes);
  const { writtenMidi } = look.note;
  const decide = (word: string, change: Parameters<typeof decideOn>[1]) =>
    decideOn({ mouthpieceId: mouthpiece.id, writtenMidi, fingering: word }, change, Date.now());
  const go = (note: number, word: string) => ask(highSearch(note, word));
  return (
    <HighView
      chart={chart}
      horn={playersHorn(settings)}
      look={look}
      highToday={playingLoad?.high?.text ?? null}
      takenOff={takenOff?.note === writtenMidi ? takenOff.word : null}
      onLook={go}
      onPrefer={(preferred) => void decide(look.word, { preferred, removed: false })}
      onChart={(isOn) => {
        void decide(look.word, { removed: !isOn, ...(!isOn && { preferred: false }) });
        setTakenOff(isOn ? null : { note: writtenMidi, word: look.word });
      }}
      onRestore={() => {
        if (!takenOff) return;
        void decide(takenOff.word, { removed: false });
        go(writtenMidi, takenOff.word);
        setTakenOff(null);
      }}
      onExport={(kind) => {
        const document = { hornId: settings.hornId, mouthpiece: mouthpiece.name, notes };
        const text = kind === 'csv' ? chartToCsv(document, csvStyle(settings)) : chartToJson(document);
        downloadFile(`high-notes-${settings.hornId}.${kind}`, new TextEncoder().encode(text), TYPES[kind]);
      }}
    />
  );
}

interface HighViewProps {
  chart: HighChart;
  horn: Horn;
  look: HighLook;
  /** High playing today, in words; null where no limit was set. */
  highToday: string | null;
  takenOff: string | null;
  onLook(note: number, word: string): void;
  onPrefer(preferred: boolean): void;
  onChart(isOn: boolean): void;
  onRestore(): void;
  onExport(kind: 'csv' | 'json'): void;
}

function HighView(props: HighViewProps) {
  const { chart, horn, look, highToday, takenOff, onLook, onPrefer, onChart, onRestore, onExport } = props;
  const { t } = useTranslation();
  const { settings, mouthpiece, notes } = chart;
  return (
    <Box maxW="wide">
      <RoomHeading
        help="high"
        title={t('high.title')}
        aside={
          <>
            {[t(`horn.${horn.id}`), mouthpiece.name || t('high.noMouthpiece')].join(' · ')}{' '}
            <ActionLink look="plain" to="/case">
              {t('high.change')}
            </ActionLink>
          </>
        }
        end={
          <Flex gap="4" wrap="wrap" alignItems="center">
            {highToday !== null && <Box color="muted">{highToday}</Box>}
            <ActionLink look="plain" to="/high/sheet">
              {t('high.print')}
            </ActionLink>
            <ActionButton look="plain" onClick={() => onExport('csv')}>
              {t('high.saveCsv')}
            </ActionButton>
            <ActionButton look="plain" onClick={() => onExport('json')}>
              {t('high.saveJson')}
            </ActionButton>
          </Flex>
        }
      />
      <Flex
        direction={{ base: 'column-reverse', lg: 'row' }}
        columnGap="8"
        rowGap="5"
        alignItems="flex-start"
      >
        <Box flex="1" minW="0" w="full">
          <Box color="muted" mb="3">
            {t('high.legend')}
          </Box>
          <Box as="ol">
            {notes.map((note) => (
              <HighNoteRow
                key={note.writtenMidi}
                note={note}
                naming={settings.naming}
                looked={note === look.note ? look.word : null}
                onLook={(word) => onLook(note.writtenMidi, word)}
              />
            ))}
          </Box>
        </Box>
        <Box w={{ base: 'full', lg: 'list' }} flexShrink="0" position={{ lg: 'sticky' }} top={{ lg: '5' }}>
          <FingeringPanel
            look={look}
            horn={horn}
            naming={settings.naming}
            takenOff={takenOff}
            onKeys={(word) => onLook(look.note.writtenMidi, word)}
            onPrefer={onPrefer}
            onChart={onChart}
            onRestore={onRestore}
          />
        </Box>
      </Flex>
    </Box>
  );
}
