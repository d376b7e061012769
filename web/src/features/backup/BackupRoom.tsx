import { whyOf } from '@inner-hum/core/signal';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { tellRoomLeft } from '../../housekeeping/index.ts';
import {
  changeSettings,
  EVERYTHING,
  forgetFolder,
  forgetQuarantined,
  isWhole,
  keepQuarantined,
  letSoundGo,
  listQuarantine,
  practisedSpan,
  readFolder,
  readSettings,
  soundBefore,
  soundBytesPerMinute,
  takesSince,
  writeFolder,
  type Choice,
  type RestoreMode,
  type QuarantineRecord,
} from '../../storage/index.ts';
import { restoreInto, storageWorker, proxied } from '../../workers/index.ts';
import { addBook, databaseOf, listBooks, openedBook, turnTo } from '../../books/index.ts';
import { saveArchive, useGivenFiles } from '../../files/index.ts';
import type { Looked, Told } from './backupProps.ts';
import { BackupView } from './BackupView.tsx';
import { useRoomLeft } from './useRoomLeft.ts';
import { useStorageWork } from './useStorageWork.ts';

/** Everything of the player's: how it is kept, out as files, and back. */
export function Component() {
  const dispatch = useDispatch();
  const settings = useLiveQuery(readSettings);
  const span = useLiveQuery(practisedSpan);
  const folder = useLiveQuery(readFolder);
  const quarantine = useLiveQuery(listQuarantine);
  const perMinute = useLiveQuery(soundBytesPerMinute);
  const sinceArchive = useLiveQuery(() => takesSince(settings?.archivedAt ?? 0), [settings?.archivedAt]);
  const [chosen, setChosen] = useState<Choice>(EVERYTHING);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [answer, setAnswer] = useState<Told | null>(null);
  const [forgotten, setForgotten] = useState<QuarantineRecord | null>(null);
  const [letGoBefore, setLetGoBefore] = useState('');
  const toLetGo = useLiveQuery(
    async () => (letGoBefore === '' ? null : soundBefore(letGoBefore)),
    [letGoBefore],
  );
  const { busy, run, stop } = useStorageWork();
  const [roomLeft, askToKeep] = useRoomLeft(answer);
  const stored = storageWorker();
  /** Whatever it was: it is said, and what is stored is as it was. */
  const tellFailure = (error: unknown) => setAnswer({ kind: 'failed', why: whyOf(error).text });
  useGivenFiles('archive', (files) => void look(files).catch(tellFailure));
  if (!settings || quarantine === undefined || folder === undefined || perMinute === undefined) return null;

  async function save() {
    if (!stored) return;
    setAnswer(null);
    const done = await run('archive', (onProgress) => stored.writeArchive(chosen, proxied(onProgress)));
    if (done.kind === 'stopped') return;
    saveArchive(done.file);
    if (isWhole(chosen)) await changeSettings({ archivedAt: Date.now() });
    setAnswer({
      kind: 'saved',
      takes: done.written.takes,
      bytes: done.file.size,
      silent: done.written.silent.length,
      damaged: done.written.damaged,
    });
  }
  async function look(files: File[]) {
    if (!stored) return;
    setAnswer(null);
    const held = [];
    for (const file of files) {
      const found = await stored.readArchive(file);
      if (typeof found === 'string') {
        setLooked(null);
        setAnswer({ kind: 'refused', why: found, name: file.name });
        return;
      }
      held.push({ file, ...found });
    }
    setLooked({ archives: held });
  }
  async function bringBack(mode: RestoreMode) {
    if (!stored || !looked) return;
    const reports = [];
    for (const { file } of looked.archives) {
      const done = await run('back', (onProgress) => stored.restore(file, mode, proxied(onProgress)));
      if (done.kind !== 'back') {
        setAnswer(done.kind === 'stopped' ? done : { ...done, name: file.name });
        return;
      }
      reports.push(done.report);
    }
    setLooked(null);
    setAnswer({ kind: 'back', reports });
  }
  async function openInOwnBook() {
    const [archive] = looked?.archives ?? [];
    if (!archive) return;
    const { report } = archive.manifest.choice;
    const name = report?.by || archive.file.name.replace(/\.zip$/i, '');
    // What one pupil sends again goes to what was sent before, and never into what is one's own, whatever the report calls itself.
    const others = listBooks().filter(({ id }) => id !== openedBook().id);
    const book = (report && others.find((each) => each.name === name)) ?? addBook(name);
    const done = await run('back', (onProgress) => restoreInto(databaseOf(book), archive.file, onProgress));
    if (done.kind === 'back') turnTo(book, report ? '/today' : '/takes');
    else setAnswer(done.kind === 'stopped' ? done : { ...done, name: archive.file.name });
  }
  async function copy(isNew: boolean) {
    if (!stored) return;
    setAnswer(null);
    try {
      if (isNew) {
        const handle = await window.showDirectoryPicker({ id: 'inner-hum', mode: 'readwrite' });
        await writeFolder({ id: 'copies', handle, writtenAt: 0, months: {} });
      } else await folder?.handle.requestPermission({ mode: 'readwrite' });
      const done = await run('copy', (onProgress) => stored.copyToFolder(proxied(onProgress)));
      if (done.kind === 'copied') {
        await changeSettings({ archivedAt: Date.now() });
        setAnswer({ kind: 'copied', files: done.copied?.files.length ?? 0 });
      }
    } catch (error) {
      // Whoever closes the system's question has changed his mind.
      if ((error as Error).name !== 'AbortError')
        setAnswer({ kind: 'copyFailed', why: (error as Error).message });
    }
  }
  async function letGo() {
    if (!toLetGo) return;
    await letSoundGo(toLetGo.takeIds);
    setLetGoBefore('');
    setAnswer({ kind: 'letGo', takes: toLetGo.takeIds.length });
    await tellRoomLeft(dispatch);
  }
  return (
    <BackupView
      stored={stored !== null}
      settings={settings}
      span={span ?? null}
      roomLeft={roomLeft}
      perMinute={perMinute}
      sinceArchive={sinceArchive ?? 0}
      folder={folder}
      canChooseFolder={'showDirectoryPicker' in window}
      quarantine={quarantine}
      forgotten={forgotten}
      chosen={chosen}
      looked={looked}
      answer={answer}
      busy={busy}
      letGoBefore={letGoBefore}
      toLetGo={toLetGo ?? null}
      onAskToKeep={() => void askToKeep()}
      onChosen={setChosen}
      onSave={() => void save().catch(tellFailure)}
      onLook={(files) => void look(files).catch(tellFailure)}
      onBack={(mode) => void bringBack(mode).catch(tellFailure)}
      onOwnBook={() => void openInOwnBook().catch(tellFailure)}
      onForgetLooked={() => setLooked(null)}
      onStop={stop}
      onCopy={(isNew) => void copy(isNew)}
      onForgetFolder={() => void forgetFolder()}
      onLetGoBefore={setLetGoBefore}
      onLetGo={() => void letGo()}
      onForgetQuarantined={(row) => {
        setForgotten(row);
        void forgetQuarantined(row.id);
      }}
      onPutBack={(row) => void stored?.putRowBack(row.id).then((why) => setAnswer({ kind: 'putBack', why }))}
      onKeepQuarantined={() => {
        setForgotten(null);
        if (forgotten) void keepQuarantined(forgotten);
      }}
    />
  );
}
