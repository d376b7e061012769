import { chartToCsv, chartToJson } from '@inner-hum/core/formats';
import { useState } from 'react';
import { playersHorn } from '../../addresses/index.ts';
import { usePlayingLoadToday } from '../../today/index.ts';
import { csvStyle, decideOn } from '../../storage/index.ts';
import { downloadFile, useSearch } from '../../ui/index.ts';
import { highSearch, readHighLook } from './highAddress.ts';
import { HighView } from './HighView.tsx';
import { useHighChart } from './useHighChart.ts';

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
