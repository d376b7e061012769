import { Box, Flex } from '@chakra-ui/react';
import {
  type Exercise,
  type ExerciseItem,
  ITEM_KINDS,
  MOST_ITEMS,
  type Phrase,
  phraseBeats,
  transposed,
} from '@inner-hum/core/exercise';
import type { Horn, NoteNaming } from '@inner-hum/core/horn';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import { useElementSize } from '../../ribbon/index.ts';
import { ActionButton, Choice, NumberField } from '../../ui/index.ts';
import { ItemFields } from './ItemFields.tsx';
import { ItemRow } from './ItemRow.tsx';
import { newItem } from './newItem.ts';
import { onePhrase } from './onePhrase.ts';
import { ShapeBrush } from './ShapeBrush.tsx';

interface PhraseEditorProps {
  exercise: Exercise;
  index: number;
  chosen: number;
  /** Items of this phrase that deserve a second look. */
  problems: readonly number[];
  horn: Horn;
  shift: number;
  naming: NoteNaming;
  onChoose(item: number): void;
  /** The phrase as changed; null: it goes with its last item. */
  onChange(phrase: Phrase | null, chosen?: number): void;
}

/** Narrower than this an item cannot be read or held; a long phrase is scrolled. */
const LEAST_ITEM_PX = 56;
const MOST_WIDTH_PX = 8000;
const OCTAVE = 12;
const MOST_REPEATS = 20;

/** One phrase: its shape to be painted, its items under it, and what can be said of the chosen one. */
export function PhraseEditor(props: PhraseEditorProps) {
  const { exercise, index, chosen, horn, shift, naming, onChoose, onChange } = props;
  const { t } = useTranslation();
  const [frame, { width: room }] = useElementSize();
  const alone = useMemo(() => onePhrase(exercise, index), [exercise, index]);
  const music = useMemo(() => phrasesOf(alone, horn.id), [alone, horn.id]);
  const phrase = exercise.phrases[index];
  const { items } = phrase;
  const item = items[chosen];
  const shortest = Math.min(...items.map(({ lengthBeats }) => lengthBeats));
  const wanted = Math.min(MOST_WIDTH_PX, (LEAST_ITEM_PX * phraseBeats(phrase)) / shortest);
  const width = Math.max(room, wanted);
  const setItems = (next: ExerciseItem[], now: number) => onChange({ ...phrase, items: next }, now);
  const replace = (next: ExerciseItem) =>
    setItems(
      items.map((each, i) => (i === chosen ? next : each)),
      chosen,
    );
  const insert = (next: ExerciseItem) =>
    setItems([...items.slice(0, chosen + 1), next, ...items.slice(chosen + 1)], chosen + 1);
  const pitch =
    items.findLast((each, i) => i <= chosen && 'writtenMidi' in each) ??
    items.find((each) => 'writtenMidi' in each);
  const beside = pitch && 'writtenMidi' in pitch ? pitch.writtenMidi : horn.lowest + OCTAVE;
  const move = (by: number) => onChange(transposed(phrase, by), chosen);
  return (
    <Box ref={frame}>
      <Box overflowX={width > room ? 'auto' : 'visible'}>
        <Box style={{ width: `${width}px` }}>
          <ShapeBrush
            exercise={alone}
            hornId={horn.id}
            width={width}
            onPaint={(next) => onChange(next, chosen)}
          />
          <ItemRow
            phrase={phrase}
            shift={shift}
            naming={naming}
            chosen={chosen}
            problems={props.problems}
            onChoose={onChoose}
            onOrder={setItems}
          />
        </Box>
      </Box>
      <Flex gap="4" wrap="wrap" alignItems="center" py="2" mb="3">
        <Box color="muted" fontSize="small">
          {t('builder.add')}
        </Box>
        {ITEM_KINDS.map((kind) => (
          <ActionButton
            key={kind}
            look="plain"
            disabled={items.length >= MOST_ITEMS}
            onClick={() => insert(newItem(kind, item, beside))}
          >
            {t(`item.${kind}`)}
          </ActionButton>
        ))}
        <Box ml={{ md: 'auto' }} />
        <ActionButton look="plain" disabled={items.length >= MOST_ITEMS} onClick={() => insert(item)}>
          {t('builder.again')}
        </ActionButton>
        <ActionButton
          look="plain"
          onClick={() =>
            items.length === 1
              ? onChange(null)
              : setItems(
                  items.filter((_, i) => i !== chosen),
                  Math.max(0, chosen - 1),
                )
          }
        >
          {t('builder.remove')}
        </ActionButton>
      </Flex>
      <ItemFields
        item={item}
        isFirst={chosen === 0}
        shift={shift}
        horn={horn}
        naming={naming}
        onChange={replace}
      />
      <Flex
        columnGap={{ base: '5', md: '6' }}
        rowGap="3"
        wrap="wrap"
        alignItems="flex-end"
        mt="5"
        pt="4"
        borderTopWidth="1px"
        borderTopStyle="solid"
        borderTopColor="line"
      >
        <ActionButton look="plain" onClick={() => move(-1)}>
          {t('builder.phraseDown')}
        </ActionButton>
        <ActionButton look="plain" onClick={() => move(1)}>
          {t('builder.phraseUp')}
        </ActionButton>
        <OctaveButtons onMove={move} />
        <NumberField
          label={t('builder.repeats')}
          less={t('builder.fewer')}
          more={t('builder.more')}
          value={phrase.repeats}
          min={1}
          max={MOST_REPEATS}
          onChange={(repeats) => onChange({ ...phrase, repeats }, chosen)}
        />
        <Choice
          legend={t('builder.breath')}
          value={phrase.breath}
          onChange={(breath) => onChange({ ...phrase, breath }, chosen)}
          options={(['free', 'one'] as const).map((value) => ({ value, label: t(`phraseBreath.${value}`) }))}
        />
      </Flex>
      <Box mt="5">
        <Engraving naming={naming} phrases={music} width={room} label={t('builder.music')} />
      </Box>
    </Box>
  );
}

/** A note or a phrase an octave down or up. */
function OctaveButtons({ onMove }: { onMove(halfSteps: number): void }) {
  const { t } = useTranslation();
  return (
    <>
      <ActionButton look="plain" onClick={() => onMove(-OCTAVE)}>
        {t('builder.octaveDown')}
      </ActionButton>
      <ActionButton look="plain" onClick={() => onMove(OCTAVE)}>
        {t('builder.octaveUp')}
      </ActionButton>
    </>
  );
}
