import { encodeWav } from '@inner-hum/core/formats';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { createTakePlayer, holdMediaKeys, type TakePlayer } from '../../audio/index.ts';
import { saveTake } from '../../files/index.ts';
import {
  deleteTake,
  readSettings,
  readTakeFrames,
  writePlayerNote,
  type TakeRecord,
} from '../../storage/index.ts';
import { downloadFile } from '../../ui/index.ts';
import { OneTakeView } from './OneTakeView.tsx';
import { drawTake } from '../../listing/index.ts';
import { createTakeCursor } from './takeCursor.ts';
import { takeFileName } from './takeFileName.ts';
import { useOtherTake } from './useOtherTake.ts';
import { useTakeSound } from './useTakeSound.ts';

export function OneTake({ take }: { take: TakeRecord }) {
  const navigate = useNavigate();
  const settings = useLiveQuery(readSettings);
  const columns = useLiveQuery(() => readTakeFrames(take.id), [take.id]);
  const drawing = useMemo(() => (columns ? drawTake(take, columns) : null), [take, columns]);
  const { others, other, otherId, choose } = useOtherTake(take);
  const player = useRef<TakePlayer | null>(null);
  const [cursor] = useState(createTakeCursor);
  const [playing, setPlaying] = useState(false);
  const { noSound, loadSound } = useTakeSound(take);

  useEffect(() => () => player.current?.close(), []);
  useEffect(() => {
    if (!playing) return undefined;
    let request = 0;
    const follow = () => {
      request = requestAnimationFrame(follow);
      if (player.current?.playing) cursor.move(player.current.positionSeconds());
    };
    follow();
    return () => cancelAnimationFrame(request);
  }, [playing, cursor]);

  async function listen(fromSeconds: number, forSeconds?: number) {
    const samples = player.current ? null : await loadSound();
    if (samples) player.current ??= createTakePlayer(samples, take.sampleRateHz, () => setPlaying(false));
    if (!player.current) return;
    player.current.play(fromSeconds, forSeconds);
    setPlaying(true);
  }
  function pause() {
    player.current?.pause();
    setPlaying(false);
  }
  async function save() {
    if (!columns) return;
    const samples = (await loadSound()) ?? new Float32Array(0);
    await saveTake(takeFileName(take), { record: take, columns, samples });
  }
  async function saveWav() {
    const samples = await loadSound();
    if (!samples) return;
    const { sampleRateHz } = take;
    downloadFile(`${takeFileName(take)}.wav`, await encodeWav({ samples, sampleRateHz }), 'audio/wav');
  }
  async function remove() {
    await deleteTake(take.id, Date.now());
    await navigate('/takes', { state: { deletedId: take.id } });
  }

  const title = settings && takeFileName(take);
  const keys = useRef<ReturnType<typeof holdMediaKeys> | null>(null);
  const byKey = useEffectEvent((does: 'play' | 'pause' | number) => {
    const here = player.current?.positionSeconds() ?? cursor.seconds() ?? 0;
    if (does === 'pause') pause();
    else void listen(does === 'play' ? here : Math.max(0, here + does));
  });
  useEffect(() => {
    if (playing && title)
      keys.current ??= holdMediaKeys(title, {
        play: () => byKey('play'),
        pause: () => byKey('pause'),
        seek: (bySeconds) => byKey(bySeconds),
      });
    keys.current?.show(playing);
  }, [playing, title]);
  useEffect(() => () => keys.current?.release(), []);

  if (!settings) return null;
  return (
    <OneTakeView
      take={take}
      drawing={drawing}
      settings={settings}
      others={others}
      other={other}
      otherId={otherId}
      onOther={choose}
      cursor={cursor}
      playing={playing}
      noSound={noSound}
      onCursor={(seconds) => {
        cursor.move(seconds);
        if (playing) player.current?.play(seconds);
      }}
      onHear={(fromSeconds, toSeconds) => {
        cursor.move(fromSeconds);
        void listen(fromSeconds, toSeconds - fromSeconds);
      }}
      onListen={() => (playing ? pause() : void listen(cursor.seconds() ?? drawing?.fromSeconds ?? 0))}
      onNote={(text) => void writePlayerNote(take.id, text)}
      onSave={() => void save()}
      onSaveWav={() => void saveWav()}
      onDelete={() => void remove()}
    />
  );
}
