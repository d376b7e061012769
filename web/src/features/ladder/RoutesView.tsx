import { Box, Flex } from '@chakra-ui/react';
import { MAJOR_KEYS, notesOf, scoreOf, type Exercise, type MajorKey } from '@inner-hum/core/exercise';
import { regularFingering, regularTube, routesTo, type Horn, type WrittenMidi } from '@inner-hum/core/horn';
import { rungOf, type RungTry } from '@inner-hum/core/plan';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { Engraving, phrasesOf } from '../../engraving/index.ts';
import { useElementSize } from '../../ribbon/index.ts';
import type { OwnExercise, SettingsRecord } from '../../storage/index.ts';
import { exerciseName, FingeringDiagram, NoteGlyph, noteText, signedKey } from '../../notation/index.ts';
import { ActionButton, ActionLink, Choice, RoomHeading, Select } from '../../ui/index.ts';
import { PinField } from './PinField.tsx';
import { LINE_MODES, type LineMode } from './routedLine.ts';

interface RoutesViewProps {
  horn: Horn;
  settings: SettingsRecord;
  own: readonly OwnExercise[];
  tries: readonly RungTry[];
  chosen: { key: MajorKey; mode: LineMode; ownId: string | null; isOneOctave: boolean };
  pinned: ReadonlyMap<WrittenMidi, WrittenMidi>;
  /** Null: free again. */
  onPin(note: WrittenMidi, fingered: WrittenMidi | null): void;
  /** Null where there is no such line. */
  routed: Exercise | null;
  /** The note that has no route this way, where there is no such line. */
  lacking: WrittenMidi | null;
  onChange(change: Record<string, string>): void;
  onPlay(): void;
  onPrint(): void;
}

const DIAGRAM_PX = 92;

export function RoutesView(props: RoutesViewProps) {
  const { horn, settings, own, tries, chosen, routed, lacking, onChange } = props;
  const { naming } = settings;
  const { t } = useTranslation();
  const [frame, { width }] = useElementSize();
  const phrases = useMemo(() => (routed ? phrasesOf(routed, horn.id) : []), [routed, horn.id]);
  const canPin = chosen.mode !== 'lift' && chosen.mode !== 'alternate';
  const notes = routed ? notesOf(scoreOf({ ...routed, order: 'asWritten' })).map(({ item }) => item) : [];
  return (
    <Box maxW="page">
      <RoomHeading
        help="routes"
        title={t('routes.title')}
        aside={t('routes.aside')}
        end={
          <ActionLink look="plain" to="/ladder">
            {t('routes.back')}
          </ActionLink>
        }
      />
      <Flex columnGap="6" rowGap="3" wrap="wrap" alignItems="flex-end" mb="5">
        <Select
          label={t('routes.line')}
          value={chosen.ownId ? `own ${chosen.ownId}` : chosen.key}
          onChange={(value) =>
            onChange(value.startsWith('own ') ? { own: value.slice(4) } : { key: value, own: '' })
          }
          plain={MAJOR_KEYS.map((key) => ({
            value: key,
            label: t('routes.scale', { key: signedKey(key) }),
          }))}
          groups={
            own.length === 0
              ? []
              : [
                  {
                    label: t('shelf.show.own'),
                    options: own.map(({ id, exercise }) => ({
                      value: `own ${id}`,
                      label: exerciseName(exercise, t),
                    })),
                  },
                ]
          }
        />
        <Choice
          legend={t('routes.how')}
          value={chosen.mode}
          onChange={(mode) => onChange({ mode })}
          options={LINE_MODES.map((value) => ({ value, label: t(`chosen.${value}`) }))}
        />
        {chosen.ownId === null && (
          <Choice
            legend={t('routes.octaves')}
            value={chosen.isOneOctave ? 'one' : 'two'}
            onChange={(value) => onChange({ octaves: value === 'one' ? 'one' : '' })}
            options={(['one', 'two'] as const).map((value) => ({
              value,
              label: t(`routes.octave.${value}`),
            }))}
          />
        )}
      </Flex>
      {!routed ? (
        <Box maxW="prose" role="status">
          {lacking === null ? t('routes.none') : t('routes.lacking', { note: noteText(lacking, naming) })}
        </Box>
      ) : (
        <>
          <Flex gap="5" mb="5">
            <ActionButton look="main" onClick={props.onPlay}>
              {t('shelf.play')}
            </ActionButton>
            <ActionButton onClick={props.onPrint}>{t('shelf.printOne')}</ActionButton>
          </Flex>
          <Box ref={frame} mb="5">
            <Box color="muted">{t('sheet.fingered')}</Box>
            <Engraving phrases={phrases} width={width} naming={naming} label={t('routes.music')} />
          </Box>
          <Flex as="ol" wrap="wrap" columnGap="5" rowGap="5">
            {notes.map((note, i) => {
              const fingered = note.fingered ?? note.writtenMidi;
              const route = routesTo(note.writtenMidi, horn).find((each) => each.fingered === fingered);
              const partial = route?.partial ?? regularTube(fingered).partial;
              const { spoke, tries: count } = rungOf(fingered, partial, tries);
              return (
                <Box as="li" key={i} textAlign="center" minW="routeStep" data-testid="route-step">
                  <Box fontFamily="heading" fontSize="large" lineHeight="1.2">
                    <NoteGlyph midi={note.writtenMidi} naming={naming} octave />
                  </Box>
                  <Box color="muted" fontSize="small" mb="1">
                    {note.fingered === null ? (
                      t('ladder.regular')
                    ) : (
                      <>
                        <NoteGlyph midi={fingered} naming={naming} octave /> ×{partial}
                      </>
                    )}
                  </Box>
                  {canPin && notes.findIndex(({ writtenMidi }) => writtenMidi === note.writtenMidi) === i && (
                    <PinField
                      note={note.writtenMidi}
                      horn={horn}
                      naming={naming}
                      pinned={props.pinned.get(note.writtenMidi) ?? null}
                      onPin={props.onPin}
                    />
                  )}
                  <FingeringDiagram fingering={regularFingering(fingered)} height={DIAGRAM_PX} />
                  <Box color="muted" fontSize="small">
                    {count > 0 ? t('routes.spoke', { spoke, tries: count }) : ''}
                  </Box>
                </Box>
              );
            })}
          </Flex>
        </>
      )}
    </Box>
  );
}
