import { Flex } from '@chakra-ui/react';
import { DndContext, closestCenter } from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { movedTo, phraseBeats, type ExerciseItem, type Phrase } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { ItemTile } from './ItemTile.tsx';
import { useSorting } from './useSorting.ts';

interface ItemRowProps {
  phrase: Phrase;
  shift: number;
  naming: NoteNaming;
  chosen: number;
  problems: readonly number[];
  onChoose(item: number): void;
  onOrder(items: ExerciseItem[], chosen: number): void;
}

/** The items of a phrase under their places in the shape, to be chosen and put in order. */
export function ItemRow({ phrase, shift, naming, chosen, problems, onChoose, onOrder }: ItemRowProps) {
  const sorting = useSorting((from, to) => onOrder(movedTo(phrase.items, from, to), to));
  const ids = phrase.items.map((_, i) => String(i));
  const beats = phraseBeats(phrase);
  return (
    <DndContext collisionDetection={closestCenter} {...sorting}>
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <Flex w="full" data-testid="items">
          {phrase.items.map((item, i) => (
            <ItemTile
              key={ids[i]}
              id={ids[i]}
              item={item}
              shift={shift}
              naming={naming}
              isChosen={i === chosen}
              hasProblem={problems.includes(i)}
              share={item.lengthBeats / beats}
              onChoose={() => onChoose(i)}
            />
          ))}
        </Flex>
      </SortableContext>
    </DndContext>
  );
}
