import { Box, chakra } from '@chakra-ui/react';
import { closestCenter, DndContext } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { movedTo, phraseBeats, type Exercise, type Phrase } from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { RibbonScore } from '../../ribbon/index.ts';
import { onePhrase } from './onePhrase.ts';
import { useSorting } from './useSorting.ts';

interface PhraseListProps {
  exercise: Exercise;
  hornId: HornId;
  chosen: number;
  problems: readonly number[];
  onChoose(phrase: number): void;
  onOrder(phrases: Phrase[], chosen: number): void;
}

/** The phrases in the order they are played, small, to be chosen and put in order. */
export function PhraseList({ exercise, hornId, chosen, problems, onChoose, onOrder }: PhraseListProps) {
  const { t } = useTranslation();
  const sorting = useSorting((from, to) => onOrder(movedTo(exercise.phrases, from, to), to));
  const ids = exercise.phrases.map((_, i) => String(i));
  return (
    <DndContext collisionDetection={closestCenter} {...sorting}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <Box as="ol" aria-label={t('builder.phrases')} maxH="list" overflowY="auto">
          {ids.map((id, i) => (
            <PhraseTile
              key={id}
              id={id}
              exercise={exercise}
              index={i}
              hornId={hornId}
              isChosen={i === chosen}
              hasProblem={problems.includes(i)}
              onChoose={() => onChoose(i)}
            />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}

interface PhraseTileProps {
  id: string;
  exercise: Exercise;
  index: number;
  hornId: HornId;
  isChosen: boolean;
  hasProblem: boolean;
  onChoose(): void;
}

const PREVIEW_PX = 40;

function PhraseTile({ id, exercise, index, hornId, isChosen, hasProblem, onChoose }: PhraseTileProps) {
  const { t } = useTranslation();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const alone = useMemo(() => onePhrase(exercise, index), [exercise, index]);
  const phrase = exercise.phrases[index];
  const name = t('builder.phraseName', { index: index + 1 });
  return (
    <li style={{ transform: transform ? `translate3d(0, ${transform.y}px, 0)` : undefined, transition }}>
      <chakra.button
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        display="block"
        w="full"
        px="3"
        py="2"
        textAlign="left"
        cursor={isDragging ? 'grabbing' : 'pointer'}
        touchAction="manipulation"
        bg={isDragging ? 'cane' : 'transparent'}
        borderLeftWidth="4px"
        borderLeftStyle="solid"
        borderLeftColor={isChosen ? 'brass' : 'line'}
      >
        <Box fontWeight={isChosen ? 700 : 400} color={hasProblem ? 'copper' : 'ink'}>
          {hasProblem ? '▲ ' : ''}
          {name}
          <Box as="span" color="muted" fontWeight="400" fontSize="small" ml="3">
            {t('option.unit.beats', { count: phraseBeats(phrase) })}
            {phrase.repeats > 1 && ` · ${t('engraving.times', { count: phrase.repeats })}`}
          </Box>
        </Box>
        <RibbonScore exercise={alone} hornId={hornId} height={PREVIEW_PX} label={name} />
      </chakra.button>
    </li>
  );
}
