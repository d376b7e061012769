import { Box } from '@chakra-ui/react';
import { useEffect, useEffectEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { filesToTake, giveFiles, ROOM_OF } from '../files/index.ts';

/** What the browser hands over where the app was asked to open files. */
interface LaunchParams {
  files: readonly { getFile(): Promise<File> }[];
}

declare global {
  interface Window {
    launchQueue?: { setConsumer(consumer: (params: LaunchParams) => void): void };
  }
}

/** Where the service worker keeps what was shared with the app, until it is asked for. */
const SHARED = 'shared-files';

async function sharedFiles(): Promise<File[]> {
  if (!('caches' in window) || !(await caches.has(SHARED))) return [];
  const cache = await caches.open(SHARED);
  const files = await Promise.all(
    (await cache.keys()).map(async (request) => {
      const response = await cache.match(request);
      const name = decodeURIComponent(new URL(request.url).pathname.split('/').at(-1) ?? '');
      return response
        ? new File([await response.blob()], name, { type: response.headers.get('Content-Type') ?? '' })
        : [];
    }),
  );
  await caches.delete(SHARED);
  return files.flat();
}

const hasFiles = ({ dataTransfer }: DragEvent) => dataTransfer?.types.includes('Files') ?? false;

/** Files dropped anywhere, opened by the system or shared with the app go to the room that takes them. */
export function OpenedFiles() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [isOver, setOver] = useState(false);
  const [isRefused, setRefused] = useState(false);
  const take = useEffectEvent((files: readonly File[]) => {
    const taken = filesToTake(files);
    setRefused(taken === null && files.length > 0);
    if (!taken) return;
    giveFiles(taken.kind, taken.files);
    if (window.location.pathname !== ROOM_OF[taken.kind]) void navigate(ROOM_OF[taken.kind]);
  });
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const leave = ({ relatedTarget }: DragEvent) => {
      if (relatedTarget === null) setOver(false);
    };
    const drop = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(false);
      take([...(event.dataTransfer?.files ?? [])]);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('dragleave', leave);
    window.addEventListener('drop', drop);
    window.launchQueue?.setConsumer(
      ({ files }) => void Promise.all(files.map((file) => file.getFile())).then((opened) => take(opened)),
    );
    void sharedFiles().then((files) => take(files));
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('drop', drop);
    };
  }, []);
  if (!isOver && !isRefused) return null;
  return (
    <Box
      role="status"
      position="fixed"
      top="4"
      left="0"
      right="0"
      mx="auto"
      w="fit-content"
      maxW="full"
      zIndex="3"
      px="6"
      py="3"
      bg="paper"
      borderWidth="2px"
      borderStyle={isOver ? 'dashed' : 'solid'}
      borderColor="brass"
      onClick={() => setRefused(false)}
    >
      {t(isOver ? 'open.drop' : 'open.refused')}
    </Box>
  );
}
