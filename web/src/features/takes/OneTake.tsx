import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { createTakePlayer, type TakePlayer } from '../../audio/index.ts';
import { saveTake } from '../../session/index.ts';
import {
  deleteTake,
  loadSamples,
  readSettings,
  readTakeFrames,
  writePlayerNote,
  type TakeRecord,
} from '../../storage/index.ts';
import { OneTakeView } from './OneTakeView.tsx';
import { drawTake } from '../../listing/index.ts';
import { takeFileName } from './takeFileName.ts';
import { useOtherTake } from './useOtherTake.ts';

export function OneTake({ take }: { take: TakeRecord }) {
  const navigate = useNavigate();
  const settings = useLiveQuery(readSettings);
  const columns = useLiveQuery(() => readTakeFrames(take.id), [take.id]);
  const drawing = useMemo(() => (columns ? drawTake(take, columns) : null), [take, columns]);
  const { others, other, otherId, choose } = useOtherTake(take);
  const player = useRef<TakePlayer | null>(null);
  const [cursorSeconds, setCursor] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);

  useEffect(() => () => player.current?.close(), []);
  useEffect(() => {
    if (!playing) return undefined;
    let request = 0;
    const follow = () => {
      request = requestAnimationFrame(follow);
      if (player.current?.playing) setCursor(player.current.positionSeconds());
    };
    follow();
    return () => cancelAnimationFrame(request);
  }, [playing]);

  async function listen(fromSeconds: number) {
    player.current ??= createTakePlayer(await loadSamples(take.id), take.sampleRateHz, () =>
      setPlaying(false),
    );
    player.current.play(fromSeconds);
    setPlaying(true);
  }
  function pause() {
    player.current?.pause();
    setPlaying(false);
  }
  async function save() {
    if (!columns) return;
    await saveTake(takeFileName(take), { record: take, columns, samples: await loadSamples(take.id) });
  }
  async function remove() {
    await deleteTake(take.id, Date.now());
    await navigate('/takes', { state: { deletedId: take.id } });
  }

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
      cursorSeconds={cursorSeconds}
      playing={playing}
      onCursor={(seconds) => {
        setCursor(seconds);
        if (playing) player.current?.play(seconds);
      }}
      onListen={() => (playing ? pause() : void listen(cursorSeconds ?? drawing?.fromSeconds ?? 0))}
      onNote={(text) => void writePlayerNote(take.id, text)}
      onSave={() => void save()}
      onDelete={() => void remove()}
    />
  );
}
