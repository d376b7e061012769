import { Box, chakra, Flex } from '@chakra-ui/react';
import {
  extentOf,
  MOST_NAME,
  MOST_PHRASES,
  newExercise,
  problemsOf,
  type Exercise,
  type Phrase,
  transposed,
} from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { exerciseName, extentText } from '../../notation/index.ts';
import { ActionButton, ActionLink, ScoreButtons } from '../../ui/index.ts';
import { ExerciseFields } from './ExerciseFields.tsx';
import { PhraseEditor } from './PhraseEditor.tsx';
import { PhraseList } from './PhraseList.tsx';
import { ProblemList } from './ProblemList.tsx';
import type { Draft } from './useDraft.ts';

interface BuilderViewProps {
  draft: Draft;
  horn: Horn;
  naming: NoteNaming;
  a4Hz: number;
  /** Half steps from what is stored to what is read. */
  shift: number;
  playAddress: string;
  tryAddress: string;
  sheetAddress: string;
  giveAddress: string;
  onCopy(): void;
  onExport(): void;
  onDelete(): void;
}

export function BuilderView(props: BuilderViewProps) {
  const { draft, horn, naming, shift } = props;
  const { exercise } = draft;
  const { t } = useTranslation();
  const [chosen, setChosen] = useState({ phrase: 0, item: 0 });
  const { phrases } = exercise;
  // Undo may take away what was chosen.
  const at = Math.min(chosen.phrase, phrases.length - 1);
  const item = Math.min(chosen.item, phrases[at].items.length - 1);
  const problems = problemsOf(exercise, horn);
  const isFatal = problems.some((problem) => problem.isFatal);
  const setPhrases = (next: Phrase[]) => draft.set({ ...exercise, phrases: next });
  const insert = (phrase: Phrase) => {
    setPhrases([...phrases.slice(0, at + 1), phrase, ...phrases.slice(at + 1)]);
    setChosen({ phrase: at + 1, item: 0 });
  };
  const change = (phrase: Phrase | null, now = 0) => {
    if (phrase) {
      setPhrases(phrases.map((each, i) => (i === at ? phrase : each)));
      setChosen({ phrase: at, item: now });
      return;
    }
    const left = phrases.filter((_, i) => i !== at);
    // An exercise without a phrase is no exercise: the last one gives way to a fresh one.
    setPhrases(left.length > 0 ? left : newExercise(horn).phrases);
    setChosen({ phrase: Math.max(0, at - 1), item: 0 });
  };
  return (
    <Box
      maxW="wide"
      onKeyDown={(event) => {
        if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
        if (event.target instanceof HTMLInputElement) return;
        event.preventDefault();
        (event.shiftKey ? draft.redo : draft.undo)();
      }}
    >
      <Flex alignItems="center" columnGap="5" rowGap="2" wrap="wrap" mb="4">
        <NameField exercise={exercise} onChange={draft.set} />
        <Box color="muted">{extentText(extentOf(exercise), naming, t, shift)}</Box>
        <Flex ml={{ lg: 'auto' }} columnGap="4" wrap="wrap" alignItems="center">
          <ActionButton look="plain" disabled={!draft.canUndo} onClick={draft.undo}>
            {t('takes.undo')}
          </ActionButton>
          <ActionButton look="plain" disabled={!draft.canRedo} onClick={draft.redo}>
            {t('builder.redo')}
          </ActionButton>
          <ActionButton look="plain" onClick={props.onCopy}>
            {t('builder.copy')}
          </ActionButton>
          <ActionButton look="plain" onClick={props.onExport}>
            {t('builder.export')}
          </ActionButton>
          <ActionButton look="plain" onClick={props.onDelete}>
            {t('take.delete')}
          </ActionButton>
          <ActionLink look="plain" to="/shelf">
            {t('shelf.back')}
          </ActionLink>
        </Flex>
      </Flex>
      {draft.isUnsaved && (
        <Box role="alert" color="copper" mb="3">
          {t('builder.unsaved')}
        </Box>
      )}
      <Flex gap="5" mb="4" wrap="wrap" alignItems="center">
        {isFatal ? (
          <ActionButton look="main" disabled>
            {t('shelf.play')}
          </ActionButton>
        ) : (
          <>
            <ActionLink look="main" to={props.playAddress}>
              {t('shelf.play')}
            </ActionLink>
            <ActionLink to={props.tryAddress}>{t('builder.tryIt')}</ActionLink>
            <ActionLink to={props.sheetAddress}>{t('shelf.printOne')}</ActionLink>
            <ActionLink to={props.giveAddress}>{t('shelf.give')}</ActionLink>
            <ScoreButtons
              exercise={exercise}
              name={exerciseName(exercise, t)}
              hornId={horn.id}
              a4Hz={props.a4Hz}
            />
          </>
        )}
      </Flex>
      <ProblemList
        exercise={exercise}
        problems={problems}
        naming={naming}
        onGo={(phrase, where) => setChosen({ phrase, item: where ?? 0 })}
      />
      <Box
        display="grid"
        columnGap="6"
        rowGap="5"
        pt="4"
        gridTemplateColumns={{ base: '1fr', lg: '{sizes.phrases} 1fr' }}
        gridTemplateRows={{ lg: 'auto 1fr' }}
        gridTemplateAreas={{ base: '"list" "phrase" "whole"', lg: '"list phrase" "whole phrase"' }}
      >
        <Box gridArea="list">
          <PhraseList
            exercise={exercise}
            hornId={horn.id}
            chosen={at}
            problems={problems.map(({ phrase }) => phrase)}
            onChoose={(phrase) => setChosen({ phrase, item: 0 })}
            onOrder={(next, phrase) => {
              setPhrases(next);
              setChosen({ phrase, item: 0 });
            }}
          />
          <ActionButton
            look="plain"
            disabled={phrases.length >= MOST_PHRASES}
            onClick={() => insert(newExercise(horn).phrases[0])}
          >
            {t('builder.addPhrase')}
          </ActionButton>
          <Flex gap="4">
            <ActionButton
              look="plain"
              disabled={phrases.length >= MOST_PHRASES}
              onClick={() => insert(phrases[at])}
            >
              {t('builder.phraseAgain')}
            </ActionButton>
            <ActionButton
              look="plain"
              disabled={phrases.length >= MOST_PHRASES}
              onClick={() => insert(transposed(phrases[at], -1))}
            >
              {t('builder.phraseLower')}
            </ActionButton>
            <ActionButton look="plain" onClick={() => change(null)}>
              {t('builder.phraseRemove')}
            </ActionButton>
          </Flex>
        </Box>
        <Box gridArea="whole">
          <ExerciseFields exercise={exercise} onChange={draft.set} />
        </Box>
        <Box gridArea="phrase" minW="0">
          <PhraseEditor
            exercise={exercise}
            index={at}
            chosen={item}
            problems={problems.flatMap(({ phrase, item: where }) =>
              phrase === at && where !== null ? [where] : [],
            )}
            horn={horn}
            shift={shift}
            naming={naming}
            onChoose={(where) => setChosen({ phrase: at, item: where })}
            onChange={change}
          />
        </Box>
      </Box>
    </Box>
  );
}

function NameField({ exercise, onChange }: { exercise: Exercise; onChange(exercise: Exercise): void }) {
  const { t } = useTranslation();
  const { name, ...nameless } = exercise;
  return (
    <chakra.input
      aria-label={t('builder.name')}
      placeholder={t('familyName.own')}
      key={name}
      defaultValue={name ?? ''}
      maxLength={MOST_NAME}
      // Typed letter by letter it would fill the steps of undo.
      onBlur={(event) => {
        const typed = event.target.value.trim();
        if (typed !== (name ?? '')) onChange(typed === '' ? nameless : { ...exercise, name: typed });
      }}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      fontFamily="heading"
      fontSize="title"
      fieldSizing="content"
      minW="chart"
      maxW="full"
      borderBottomWidth="1px"
      borderBottomStyle="solid"
      borderBottomColor="edge"
    />
  );
}
