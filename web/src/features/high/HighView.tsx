import { Box, Flex } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, RoomHeading } from '../../ui/index.ts';
import { FingeringPanel } from './FingeringPanel.tsx';
import type { HighLook } from './highAddress.ts';
import { HighNoteRow } from './HighNoteRow.tsx';
import type { HighChart } from './useHighChart.ts';

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

export function HighView(props: HighViewProps) {
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
