import { whyText } from '../../notation/index.ts';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton, ActionLink, Choice, FileButton } from '../../ui/index.ts';
import { useGivenFiles } from '../../files/index.ts';
import { storageWorker } from '../../workers/index.ts';
import { bringIn, MOST_MINUTES, type BroughtIn, type Whose } from './bringIn.ts';

/** Sounds that browsers read. */
const KINDS = 'audio/*,.wav,.flac,.mp3,.ogg,.opus,.m4a';

/** What is to be known of a recording that was kept. */
function KeptNotes({ answer: { name, clipped, cut } }: { answer: Extract<BroughtIn, { kind: 'kept' }> }) {
  const { t } = useTranslation();
  return (
    <>
      {clipped > 0 && <Box>{t('bringIn.clipped', { name, count: clipped })}</Box>}
      {cut && (
        <Box>{t('bringIn.cut', { name, seconds: Math.round(cut.seconds), of: Math.round(cut.of) })}</Box>
      )}
    </>
  );
}

/** A door for recordings: one's own, parted into takes at their pauses, or another player's, to be laid over them. */
export function BringIn() {
  const { t } = useTranslation();
  const [whose, setWhose] = useState<Whose>('own');
  const [answers, setAnswers] = useState<BroughtIn[]>([]);
  const [isOpen, setOpen] = useState(false);
  const [busy, setBusy] = useState<{ done: number; of: number } | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  function stop() {
    running.current?.abort();
    storageWorker()?.stop();
  }

  async function take(files: File[]) {
    const controller = new AbortController();
    running.current = controller;
    setAnswers([]);
    setBusy({ done: 0, of: files.length });
    await bringIn(
      files,
      whose,
      (answer, done) => {
        setAnswers((before) => [...before, answer]);
        setBusy({ done, of: files.length });
      },
      controller.signal,
    );
    setBusy(null);
  }
  useGivenFiles('sound', (files) => {
    setOpen(true);
    void take(files);
  });
  const kept = answers.flatMap((answer) => (answer.kind === 'kept' ? answer.takeIds : []));
  return (
    <chakra.details
      mb="4"
      data-testid="bring-in"
      open={isOpen}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <Box as="summary" minH="touch" cursor="pointer" display="list-item" pt="2">
        {t('takes.bringIn')}
      </Box>
      <Box maxW="prose" mb="3">
        {t('bringIn.what', { own: MOST_MINUTES.own, other: MOST_MINUTES.other })}
      </Box>
      <Flex gap="6" wrap="wrap" alignItems="flex-end">
        <Choice
          legend={t('bringIn.whose')}
          value={whose}
          onChange={(value) => setWhose(value)}
          options={(['own', 'other'] as const).map((value) => ({ value, label: t(`bringIn.of.${value}`) }))}
        />
        {busy ? (
          <ActionButton onClick={stop}>{t('bringIn.stop')}</ActionButton>
        ) : (
          <FileButton accept={KINDS} multiple onFiles={(files) => void take(files)}>
            {t('bringIn.choose')}
          </FileButton>
        )}
      </Flex>
      {(busy !== null || answers.length > 0) && (
        <Box role="status" bg="cane" px="4" py="2" mt="3">
          {busy && <Box>{t('bringIn.busy', busy)}</Box>}
          {kept.length > 0 && (
            <Box>
              {t('bringIn.kept', { count: kept.length })}{' '}
              {kept.length === 1 && (
                <ActionLink look="plain" to={`/takes/${kept[0]}`}>
                  {t('bringIn.open')}
                </ActionLink>
              )}
            </Box>
          )}
          {answers.map((answer, i) =>
            answer.kind === 'kept' ? (
              <KeptNotes key={i} answer={answer} />
            ) : (
              // The same file may be chosen twice.
              <Box key={i}>
                {t('bringIn.not', {
                  name: answer.name,
                  why: answer.why
                    ? whyText(answer.why, t)
                    : answer.format
                      ? t('bringIn.why.convert', { format: answer.format })
                      : t(`bringIn.why.${answer.kind}`, answer),
                })}
              </Box>
            ),
          )}
        </Box>
      )}
    </chakra.details>
  );
}
