import type { Exercise } from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';
import { downloadFile } from './downloadFile.ts';

interface ScoreButtonsProps {
  exercise: Exercise;
  /** What it is called, as a file too. */
  name: string;
  hornId: HornId;
  a4Hz: number;
}

/** An exercise as a score for other programs: MusicXML to be read and printed, MIDI with a click to be played along with. */
export function ScoreButtons({ exercise, name, hornId, a4Hz }: ScoreButtonsProps) {
  const { t } = useTranslation();
  // What writes scores is large and seldom wanted: it comes when it is.
  async function saveMusicXml() {
    const { exerciseToMusicXml } = await import('@inner-hum/core/scores');
    const words = {
      title: name,
      part: t(`horn.${hornId}`),
      air: t('item.air'),
      hum: t('item.hum'),
      hear: t('item.hear'),
      imagine: t('item.imagine'),
      free: t('item.free'),
      subtone: t('tone.subtone'),
    };
    const text = exerciseToMusicXml(exercise, hornId, words);
    downloadFile(`${name}.musicxml`, new Blob([text]), 'application/vnd.recordare.musicxml+xml');
  }
  async function saveMidi() {
    const { exerciseToMidi } = await import('@inner-hum/core/scores');
    downloadFile(`${name}.mid`, exerciseToMidi(exercise, hornId, { click: true, a4Hz }), 'audio/midi');
  }
  return (
    <>
      <ActionButton look="plain" onClick={() => void saveMusicXml()}>
        {t('score.musicXml')}
      </ActionButton>
      <ActionButton look="plain" onClick={() => void saveMidi()}>
        {t('score.midi')}
      </ActionButton>
    </>
  );
}
