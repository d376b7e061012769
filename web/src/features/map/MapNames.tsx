import { chakra, Flex } from '@chakra-ui/react';
import { WITHIN_90, type TendencyMap } from '@inner-hum/core/tendency';
import type { KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { centsText, NoteGlyph, noteText } from '../../notation/index.ts';
import type { NoteNaming } from '@inner-hum/core/horn';
import { stepOf, type MapScale } from './mapScale.ts';

interface MapNamesProps {
  map: TendencyMap;
  scale: MapScale;
  looked: number | null;
  naming: NoteNaming;
  /** Half steps from written to what is shown. */
  shift: number;
  soft: number;
  loud: number;
  onLook(note: number | null): void;
}

/** The notes under the picture: each is a button that opens the note; arrow keys go from one to the next. */
export function MapNames({ map, scale, looked, naming, shift, soft, loud, onLook }: MapNamesProps) {
  const { t } = useTranslation();
  const move = (event: KeyboardEvent<HTMLElement>) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const buttons = [...event.currentTarget.querySelectorAll('button')];
    buttons[buttons.findIndex((each) => each === document.activeElement) + by]?.focus();
  };
  return (
    <Flex
      style={{ width: scale.width, paddingLeft: scale.left }}
      onKeyDown={move}
      role="group"
      aria-label={t('map.notes')}
    >
      {map.notes.map(({ writtenMidi, days, at }) => (
        <chakra.button
          key={writtenMidi}
          type="button"
          aria-pressed={writtenMidi === looked}
          aria-label={t(days === 0 ? 'map.noteUnknown' : 'map.note', {
            note: noteText(writtenMidi + shift, naming),
            soft: centsText(at(soft).cents, t),
            medium: centsText(at(0).cents, t),
            loud: centsText(at(loud).cents, t),
            error: Math.round(WITHIN_90 * at(0).error),
          })}
          onClick={() => onLook(writtenMidi === looked ? null : writtenMidi)}
          style={{ width: stepOf(scale) }}
          minH="touch"
          cursor="pointer"
          fontFamily="heading"
          fontSize="medium"
          color={writtenMidi === looked ? 'ink' : days > 0 ? 'ink' : 'muted'}
          borderBottomWidth="4px"
          borderBottomStyle="solid"
          borderBottomColor={writtenMidi === looked ? 'brass' : 'transparent'}
          data-note={writtenMidi}
        >
          <NoteGlyph midi={writtenMidi + shift} naming={naming} />
        </chakra.button>
      ))}
    </Flex>
  );
}
