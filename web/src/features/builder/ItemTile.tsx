import { Box, chakra } from '@chakra-ui/react';
import { useSortable } from '@dnd-kit/sortable';
import type { ExerciseItem } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { NoteGlyph, noteText } from '../../notation/index.ts';

interface ItemTileProps {
  id: string;
  item: ExerciseItem;
  /** Half steps from what is stored to what is read. */
  shift: number;
  naming: NoteNaming;
  isChosen: boolean;
  hasProblem: boolean;
  share: number;
  onChoose(): void;
}

/** One item under its place in the shape: what it is, and a handle to drag it by. */
export function ItemTile({ id, item, shift, naming, isChosen, hasProblem, share, onChoose }: ItemTileProps) {
  const { t } = useTranslation();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const pitch = 'writtenMidi' in item ? item.writtenMidi + shift : null;
  const kind = t(item.kind === 'rest' && item.breath === 'none' ? 'item.hold' : `item.${item.kind}`);
  const beats = t('option.unit.beats', { count: item.lengthBeats });
  return (
    <chakra.button
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      type="button"
      aria-pressed={isChosen}
      aria-label={[pitch === null ? null : noteText(pitch, naming), item.kind === 'note' ? null : kind, beats]
        .filter(Boolean)
        .join(', ')}
      onClick={onChoose}
      minW="0"
      minH="touch"
      py="2"
      textAlign="center"
      overflow="hidden"
      cursor={isDragging ? 'grabbing' : 'grab'}
      touchAction="none"
      borderLeftWidth="1px"
      borderLeftStyle="solid"
      borderLeftColor="line"
      borderTopWidth="3px"
      borderTopStyle="solid"
      borderTopColor={isChosen ? 'brass' : 'line'}
      bg={isDragging ? 'cane' : 'transparent'}
      position="relative"
      zIndex={isDragging ? '1' : 'auto'}
      style={{
        width: `${100 * share}%`,
        transform: transform ? `translate3d(${transform.x}px, 0, 0)` : undefined,
        transition,
      }}
    >
      <Box fontFamily="heading" fontSize="large" lineHeight="1.1" fontWeight={isChosen ? 700 : 400}>
        {pitch === null ? kind : <NoteGlyph midi={pitch} naming={naming} octave />}
      </Box>
      <Box color={hasProblem ? 'copper' : 'muted'} fontSize="small" whiteSpace="nowrap">
        {pitch !== null && item.kind !== 'note' ? `${kind} · ` : ''}
        {hasProblem ? '▲ ' : ''}
        {item.lengthBeats}
      </Box>
    </chakra.button>
  );
}
