import { Box, chakra, Flex } from '@chakra-ui/react';
import { Pause, Play } from 'lucide-react';
import { useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { dateText } from '../../words/index.ts';
import { swellAddress } from './swellAddress.ts';
import { CallWords } from '../../notation/index.ts';
import { ActionButton, ActionLink, Key, RoomHeading, useFreeKeys } from '../../ui/index.ts';
import { playedAt, takeKeys, type SettingsRecord, type TakeRecord } from '../../storage/index.ts';
import { ColourBeside } from './ColourBeside.tsx';
import { CompareListen } from './CompareListen.tsx';
import { CompareChoice } from './CompareChoice.tsx';
import { LineTable } from './LineTable.tsx';
import { EventList } from './EventList.tsx';
import { Figures } from './Figures.tsx';
import type { TakeDrawing } from '../../listing/index.ts';
import type { TakeCursor } from './takeCursor.ts';
import { TakeRibbon } from './TakeRibbon.tsx';
import { TakeScatter } from './TakeScatter.tsx';
import { describeTake, TakeHeadline, takeLabel, TakeTitle, useHeadline } from '../../listing/index.ts';
import type { OtherTake } from './useOtherTake.ts';
import { WordsTable } from './WordsTable.tsx';
import type { NoSound } from './useTakeSound.ts';

interface OneTakeViewProps {
  take: TakeRecord;
  drawing: TakeDrawing | null;
  settings: SettingsRecord;
  /** Takes that could be laid over this one, and the one that is. */
  others: readonly TakeRecord[];
  other: OtherTake | null;
  otherId: string;
  onOther(takeId: string): void;
  cursor: TakeCursor;
  playing: boolean;
  /** Why nothing is heard; null where it is, or was not asked for. */
  noSound: NoSound | null;
  onCursor(seconds: number): void;
  onListen(): void;
  /** A stretch of it alone, on the take's clock. */
  onHear(fromSeconds: number, toSeconds: number): void;
  onNote(text: string): void;
  onSave(): void;
  onSaveWav(): void;
  onDelete(): void;
}

export function OneTakeView(props: OneTakeViewProps) {
  const { take, drawing, settings, other, cursor, playing, onCursor, onListen } = props;
  const { t } = useTranslation();
  const noteId = useId();
  const [telling, setTelling] = useState(false);
  const headline = useHeadline([take], settings.naming);
  useFreeKeys('space', onListen);
  const again = swellAddress(take);
  const only = take.analysis?.items.length === 1 ? take.analysis.items[0] : null;
  const words = only?.kind === 'note' ? only.measures?.words : null;
  const beside = other?.take.analysis
    ? {
        measures: other.take.analysis.measures,
        here: t('compare.here'),
        there:
          takeKeys(other.take).note === takeKeys(take).note
            ? dateText(playedAt(other.take), 'shortDayTime')
            : takeLabel(other.take, settings.naming, t),
      }
    : null;
  return (
    <Box maxW="page">
      <RoomHeading
        help="take"
        title={<TakeTitle take={take} naming={settings.naming} />}
        pageTitle={takeLabel(take, settings.naming, t)}
        aside={[
          t(`horn.${take.hornId}`),
          dateText(playedAt(take), 'weekdayTime'),
          t(`source.${take.source}`),
          ...(take.eyes === 'blind' ? [t('take.blind')] : []),
          ...(take.recovered ? [t('take.recovered')] : []),
        ].join(' · ')}
      />
      {take.call && take.analysis && <CallWords call={take.call} measures={take.analysis.measures} />}
      {take.analysis ? (
        <TakeHeadline take={take} naming={settings.naming} />
      ) : (
        <Box>{t(take.kind === 'other' ? 'takes.otherHow' : 'takes.notJudged')}</Box>
      )}
      <Box mt="5">
        {drawing && (
          <TakeRibbon
            take={take}
            drawing={drawing}
            other={other}
            naming={settings.naming}
            label={headline || t('takes.ribbon')}
            cursor={cursor}
            onCursor={onCursor}
          />
        )}
      </Box>
      {drawing && (
        <Box
          as="details"
          mt="2"
          onToggle={({ currentTarget }) => setTelling(currentTarget.hasAttribute('open'))}
        >
          <Box as="summary" minH="touch" display="list-item" pt="2" cursor="pointer">
            {t('told.name')}
          </Box>
          {telling && (
            <Box as="p" maxW="prose" data-testid="told">
              {describeTake(take, drawing, headline ?? '', settings.naming, t)}
            </Box>
          )}
        </Box>
      )}
      <Flex gap="5" mt="3" wrap="wrap" alignItems="center">
        <ActionButton onClick={onListen}>
          {playing ? <Pause size={18} aria-hidden="true" /> : <Play size={18} aria-hidden="true" />}
          {t(playing ? 'take.pause' : 'take.listen')} <Key>space</Key>
        </ActionButton>
        {again && <ActionLink to={again}>{t('take.again')}</ActionLink>}
        {take.roundId && <ActionLink to={`/takes/round/${take.roundId}`}>{t('drill.result')}</ActionLink>}
        <ActionButton onClick={props.onSave}>{t('take.save')}</ActionButton>
        <ActionButton onClick={props.onSaveWav}>{t('takes.saveWav')}</ActionButton>
        <ActionButton onClick={props.onDelete}>{t('take.delete')}</ActionButton>
      </Flex>
      {props.noSound && (
        <Box role="status" mt="2">
          {t(`take.${props.noSound}`)}
        </Box>
      )}
      {take.analysis && props.others.length > 0 && (
        <Flex gap="5" mt="6" wrap="wrap" alignItems="flex-end">
          <CompareChoice
            take={take}
            others={props.others}
            otherId={props.otherId}
            naming={settings.naming}
            onChoose={props.onOther}
          />
          {other && (
            <Box pb="2" role="status">
              {t('compare.legend')}{' '}
              <ActionLink look="plain" to={`/takes/${other.take.id}?over=${take.id}`}>
                {t('compare.swap')}
              </ActionLink>
            </Box>
          )}
        </Flex>
      )}
      {other && drawing && (
        <>
          <CompareListen key={other.take.id} here={{ take, drawing }} there={other} onCursor={onCursor} />
          <ColourBeside here={drawing.track.columns} there={other.drawing.track.columns} />
        </>
      )}
      <Flex gap={{ base: '6', md: '9' }} mt="7" wrap="wrap" alignItems="flex-start">
        {take.analysis && (
          <Figures
            measures={take.analysis.measures}
            usualColourSlope={take.context?.usualColourSlope ?? undefined}
            beside={beside}
          />
        )}
        <Box flex="1" minW="column">
          {take.analysis && <EventList analysis={take.analysis} onCursor={onCursor} />}
          <Box as="label" display="block" mt="5">
            <Box id={noteId} color="muted" fontSize="small" mb="1">
              {t('take.note')}
            </Box>
            <chakra.textarea
              aria-labelledby={noteId}
              defaultValue={take.playerNote}
              maxLength={2000}
              rows={3}
              w="full"
              p="3"
              borderWidth="1px"
              borderStyle="solid"
              borderColor="edge"
              borderRadius="small"
              onChange={(event) => props.onNote(event.target.value)}
            />
          </Box>
        </Box>
      </Flex>
      {words && words.length > 1 && <WordsTable words={words} />}
      {take.analysis && take.analysis.items.length > 1 && (
        <LineTable
          exercise={take.context?.exercise ?? null}
          analysis={take.analysis}
          naming={settings.naming}
          onHear={props.onHear}
        />
      )}
      {take.analysis && drawing && (
        <TakeScatter take={take} measures={take.analysis.measures} drawing={drawing} other={other} />
      )}
    </Box>
  );
}
