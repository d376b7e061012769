import type { AskedFor } from '../../addresses/index.ts';
import { Box, Heading } from '@chakra-ui/react';
import { allNotes, cautionsOf, extentOf, isAlone, readShift } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { exerciseName, extentText, familyName } from '../../notation/index.ts';

interface SheetPieceViewProps {
  piece: AskedFor;
  settings: SettingsRecord;
  width: number;
}

/** A staff of 9 mm: read from a stand. */
const STAND_SCALE = 0.85;

/** One exercise on paper: what it is for, how fast, how to rest, and every phrase of it. */
export function SheetPieceView({ piece, settings, width }: SheetPieceViewProps) {
  const { t } = useTranslation();
  const { exercise, drill } = piece;
  const familyId = drill?.family;
  const { hornId, naming } = settings;
  const phrases = useMemo(() => phrasesOf(exercise, hornId), [exercise, hornId]);
  const shift = readShift(exercise, hornId);
  const isFingered = allNotes(exercise).some(({ fingered }) => fingered !== null);
  const name = familyId ? familyName(familyId, t) : exerciseName(exercise, t);
  const rest =
    exercise.rest.kind === 'beats'
      ? t('sheet.rest.beats', { count: exercise.rest.beats })
      : t(`sheet.rest.${exercise.rest.kind}`);
  return (
    <Box as="section" mb="7">
      <Box breakInside="avoid" breakAfter="avoid">
        <Heading as="h2" fontFamily="heading" fontSize="title">
          {name}
        </Heading>
        {familyId && (
          <Box>
            {t(`familyPurpose.${familyId}`)} {t(`familyHow.${familyId}`)}
          </Box>
        )}
        <Box fontWeight="700" my="2">
          {[
            t('free.bpm', { tempo: exercise.tempoBpm }),
            t(isAlone(exercise) ? 'sheet.sounding' : 'sheet.written', { horn: t(`horn.${hornId}`) }),
            extentText(extentOf(exercise), naming, t, shift),
            ...(phrases.length > 1 ? [rest] : []),
          ].join(' · ')}
        </Box>
      </Box>
      {isFingered && <Box mb="2">{t('sheet.fingered')}</Box>}
      <Engraving
        naming={naming}
        phrases={phrases}
        width={width}
        scale={STAND_SCALE}
        onPaper
        label={t('shelf.music', { name, count: phrases.length })}
      />
      {cautionsOf(exercise).map((caution) => (
        <Box key={caution} fontSize="small">
          {t(`care.${caution}`)}
        </Box>
      ))}
    </Box>
  );
}
