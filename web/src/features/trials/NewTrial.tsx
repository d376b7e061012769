import { Box, Flex } from '@chakra-ui/react';
import { MOST_WORD } from '@inner-hum/core/exercise';
import { writtenMidi, type Horn } from '@inner-hum/core/horn';
import {
  LEAST_PAIRS,
  MOST_PAIRS,
  QUESTIONS,
  TRIAL_ATTACKS,
  TRIAL_MEASURES,
  TRIAL_TONES,
  type Question,
  type TrialMeasure,
  type TrialTone,
  usualAttacks,
} from '@inner-hum/core/trial';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { SettingsRecord, TrialRecord } from '../../storage/index.ts';
import { noteText } from '../../notation/index.ts';
import { ActionButton, Choice, Select, TextField } from '../../ui/index.ts';

interface NewTrialProps {
  horn: Horn;
  settings: SettingsRecord;
  onFix(trial: Omit<TrialRecord, 'id' | 'deletedAt' | 'createdAt'>): void;
}

const PAIRS = [LEAST_PAIRS, 8, 10, 12, MOST_PAIRS];
const LOW_NOTE = 58;

/** A question, two cues, what is played and what decides; fixed before the first note. */
export function NewTrial({ horn, settings, onFix }: NewTrialProps) {
  const { t } = useTranslation();
  const [question, setQuestion] = useState<Question>('tongue');
  const [own, setOwn] = useState({ a: '', b: '' });
  const [tone, setTone] = useState<TrialTone>('softStart');
  const [measure, setMeasure] = useState<TrialMeasure>('responseMs');
  const [note, setNote] = useState(Math.max(horn.lowest, LOW_NOTE));
  const [attacks, setAttacks] = useState(usualAttacks(tone));
  const [pairs, setPairs] = useState(8);
  const cues = question === 'own' ? own : { a: t(`trial.cueA.${question}`), b: t(`trial.cueB.${question}`) };
  const isReady = cues.a !== '' && cues.b !== '' && cues.a !== cues.b;
  return (
    <Box as="section" mb="7">
      <Flex gap="5" wrap="wrap" alignItems="flex-end" mb="4">
        <Select
          label={t('trial.question')}
          value={question}
          onChange={(value) => {
            const chosen = QUESTIONS.find((each) => each === value) ?? 'own';
            setQuestion(chosen);
            setAttacks(chosen === 'lowStart' ? { a: 'tongued', b: 'breath' } : usualAttacks(tone));
            setMeasure(chosen === 'lowStart' ? 'spokeAtOnce' : measure);
          }}
          plain={QUESTIONS.map((value) => ({ value, label: t(`trial.questions.${value}`) }))}
        />
        {question === 'own' &&
          (['a', 'b'] as const).map((side) => (
            <TextField
              key={side}
              label={t(`trial.own.${side}`)}
              value={own[side]}
              maxLength={MOST_WORD}
              onDone={(text) => setOwn((before) => ({ ...before, [side]: text }))}
            />
          ))}
        <Select
          label={t('trial.tone')}
          value={tone}
          onChange={(value) => {
            const chosen = TRIAL_TONES.find((each) => each === value) ?? 'softStart';
            setTone(chosen);
            if (question !== 'lowStart') setAttacks(usualAttacks(chosen));
          }}
          plain={TRIAL_TONES.map((value) => ({ value, label: t(`trial.tones.${value}`) }))}
        />
        {(['a', 'b'] as const).map((side) => (
          <Select
            key={side}
            // Names that are being typed must move nothing.
            label={question === 'own' ? t(`trial.attackOf.${side}`) : t('trial.attack', { cue: cues[side] })}
            value={attacks[side]}
            onChange={(value) =>
              setAttacks({ ...attacks, [side]: TRIAL_ATTACKS.find((each) => each === value) ?? 'any' })
            }
            plain={TRIAL_ATTACKS.map((value) => ({ value, label: t(`attack.${value}`) }))}
          />
        ))}
        <Select
          label={t('filter.note')}
          value={String(note)}
          onChange={(value) => setNote(Number(value))}
          plain={Array.from({ length: horn.highest - horn.lowest + 1 }, (_, i) => ({
            value: String(horn.lowest + i),
            label: noteText(horn.lowest + i, settings.naming),
          }))}
        />
        <Select
          label={t('trial.decides')}
          value={measure}
          onChange={(value) => setMeasure(TRIAL_MEASURES.find((each) => each === value) ?? 'responseMs')}
          plain={TRIAL_MEASURES.map((value) => ({ value, label: t(`trial.measure.${value}`) }))}
        />
        <Choice
          legend={t('trial.pairs')}
          value={String(pairs)}
          onChange={(value) => setPairs(Number(value))}
          options={PAIRS.map((count) => ({ value: String(count), label: String(count) }))}
        />
      </Flex>
      <ActionButton
        look="main"
        disabled={!isReady}
        onClick={() =>
          onFix({
            hornId: horn.id,
            question,
            cues,
            attacks,
            tone,
            writtenMidi: writtenMidi(note),
            measure,
            pairs,
          })
        }
      >
        {isReady ? t('trial.begin', cues) : t('trial.notReady')}
      </ActionButton>
    </Box>
  );
}
