import { Box, Flex, Heading } from '@chakra-ui/react';
import { extentOf, type Exercise } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import {
  fittingShift,
  MADE_OF_SCORE,
  scoreExercise,
  type MadeOfScore,
  type ReadScore,
  type ScoreChoice,
} from '@inner-hum/core/scores';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import { useElementSize } from '../../ribbon/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { extentText } from '../../notation/index.ts';
import { ActionButton, Choice, NumberField, Select } from '../../ui/index.ts';

interface ScorePanelProps {
  score: ReadScore;
  horn: Horn;
  settings: SettingsRecord;
  /** `routes`: from the Shelf to the fingerings it can be taken through. */
  onKeep(exercise: Exercise, to: 'shelf' | 'routes'): void;
  onLeave(): void;
}

const FEW_LINES = 3;
/** So many bars are taken at first: an exercise, not the piece. */
const FIRST_BARS = 8;
const MOST_OCTAVES = 3;

/** A score that was brought in: which part and bars, as what, for this horn. Loaded when it is first needed. */
export default function ScorePanel({ score, horn, settings, onKeep, onLeave }: ScorePanelProps) {
  const { t } = useTranslation();
  const [frame, { width }] = useElementSize();
  const startOf = (part: number): ScoreChoice => ({
    part,
    fromBar: 0,
    toBar: Math.min(FIRST_BARS, score.parts[part].bars.length) - 1,
    reading: 'sounding',
    octaves: fittingShift(score.parts[part], horn, 'sounding'),
    make: 'line',
  });
  const [choice, setChoice] = useState(() => startOf(0));
  const part = score.parts[choice.part];
  const made = useMemo(() => scoreExercise(score, choice, horn), [score, choice, horn]);
  const phrases = useMemo(() => (made ? phrasesOf(made.exercise, horn.id) : []), [made, horn.id]);
  const set = (change: Partial<ScoreChoice>) => setChoice({ ...choice, ...change });
  const bars = part.bars.map(({ number }, i) => ({ value: String(i), label: number }));
  return (
    <Box as="section" bg="cane" px="5" py="4" mb="5" aria-label={t('score.title')} data-testid="score">
      <Heading as="h2" fontFamily="heading" fontSize="large" mb="2">
        {score.title || t('score.title')}
      </Heading>
      <Flex columnGap="6" rowGap="3" wrap="wrap" alignItems="flex-end">
        <Select
          label={t('score.part')}
          value={String(choice.part)}
          onChange={(value) => setChoice(startOf(Number(value)))}
          plain={score.parts.map(({ name }, i) => ({ value: String(i), label: name || String(i + 1) }))}
        />
        <Select
          label={t('score.from')}
          value={String(choice.fromBar)}
          onChange={(value) => set({ fromBar: Number(value), toBar: Math.max(Number(value), choice.toBar) })}
          plain={bars}
        />
        <Select
          label={t('score.to')}
          value={String(choice.toBar)}
          onChange={(value) =>
            set({ toBar: Number(value), fromBar: Math.min(Number(value), choice.fromBar) })
          }
          plain={bars}
        />
        <Choice<MadeOfScore>
          legend={t('score.make')}
          value={choice.make}
          onChange={(make) => set({ make })}
          options={MADE_OF_SCORE.map((value) => ({ value, label: t(`score.made.${value}`) }))}
        />
        {part.transposition !== horn.transposition && (
          <Choice
            legend={t('score.reading')}
            value={choice.reading}
            onChange={(reading) => set({ reading, octaves: fittingShift(part, horn, reading) })}
            options={(['sounding', 'written'] as const).map((value) => ({
              value,
              label: t(`score.read.${value}`),
            }))}
          />
        )}
        <NumberField
          label={t('score.octaves')}
          less={t('score.down')}
          more={t('score.up')}
          value={choice.octaves}
          min={-MOST_OCTAVES}
          max={MOST_OCTAVES}
          onChange={(octaves) => set({ octaves })}
        />
      </Flex>
      {!made && <Box mt="3">{t('score.noNotes')}</Box>}
      {made && (
        <>
          <Box mt="3" role="status">
            {extentText(extentOf(made.exercise), settings.naming, t, 0)}
            {made.faults.map(({ kind, count }) => (
              <Box key={kind} color="copper">
                {t(`score.fault.${kind}`, { count })}
              </Box>
            ))}
          </Box>
          <Box ref={frame} mt="3">
            <Engraving
              naming={settings.naming}
              phrases={phrases}
              width={width}
              mostLines={FEW_LINES}
              label={t('score.music')}
            />
          </Box>
        </>
      )}
      <Flex gap="5" mt="3" wrap="wrap" alignItems="center">
        {made && (
          <>
            <ActionButton onClick={() => onKeep(made.exercise, 'shelf')}>{t('score.keep')}</ActionButton>
            <ActionButton onClick={() => onKeep(made.exercise, 'routes')}>{t('score.routes')}</ActionButton>
          </>
        )}
        <ActionButton look="plain" onClick={onLeave}>
          {t('score.leave')}
        </ActionButton>
      </Flex>
    </Box>
  );
}
