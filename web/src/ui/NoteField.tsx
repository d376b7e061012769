import { Box, chakra, Flex } from '@chakra-ui/react';
import { octaveWithin } from '@inner-hum/core/tone';
import type { NoteNaming } from '@inner-hum/core/horn';
import { Mic } from 'lucide-react';
import { use, useEffect, useEffectEvent, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { NoteGlyph } from '../notation/index.ts';
import { ListenForNote } from './noteListening.ts';
import { NumberField } from './NumberField.tsx';
import { typedNote } from './typedNote.ts';
import { TypedValue } from './TypedValue.tsx';

const OCTAVE = 12;

interface NoteFieldProps {
  label: string;
  /** As it is shown (MIDI). */
  midi: number;
  min: number;
  max: number;
  naming: NoteNaming;
  /** What a sounding note is as shown here; absent: the field does not listen. */
  fromSounding?: (soundingMidi: number) => number;
  less?: string;
  more?: string;
  /** In the place of the note where it is none. */
  none?: ReactNode;
  onChange(midi: number): void;
}

/** A note: by half steps and octaves, by its name typed, or by playing or singing the one that is wanted. */
export function NoteField(props: NoteFieldProps) {
  const { label, midi, min, max, naming, fromSounding, onChange } = props;
  const { t } = useTranslation();
  const { isOn, hasFailed, listen, stop } = use(ListenForNote);
  const [asked, setAsked] = useState(false);
  const isWaiting = asked && isOn;
  const leave = useEffectEvent(() => {
    if (isWaiting) stop();
  });
  useEffect(() => () => leave(), []);
  const take = (note: number) => {
    const kept = Math.max(min, Math.min(max, note));
    onChange(kept);
    return true;
  };
  const small = (name: string, text: ReactNode, act: () => void, isOff = false, isPressed?: boolean) => (
    <chakra.button
      type="button"
      aria-label={`${label}: ${name}`}
      title={name}
      aria-pressed={isPressed}
      onClick={act}
      disabled={isOff}
      minW="8"
      minH="touch"
      display="inline-grid"
      placeItems="center"
      fontSize="small"
      cursor="pointer"
      color={isPressed ? 'copper' : 'muted'}
      _disabled={{ opacity: 0.4, cursor: 'default' }}
    >
      {text}
    </chakra.button>
  );
  return (
    <NumberField
      label={label}
      value={midi}
      min={min}
      max={max}
      less={props.less}
      more={props.more}
      onChange={onChange}
      shown={
        isWaiting ? (
          <span role="status">{t('noteField.playNow')}</span>
        ) : asked && hasFailed ? (
          <Box role="alert" fontSize="small">
            {t('noteField.noMicrophone')}
          </Box>
        ) : props.none !== undefined ? (
          props.none
        ) : (
          <TypedValue
            label={label}
            shown={<NoteGlyph midi={midi} naming={naming} octave />}
            {...typedNote(midi, naming, take)}
          />
        )
      }
      beside={
        <Flex gap="1">
          {props.none === undefined && max - min >= OCTAVE && (
            <>
              {small(t('builder.octaveDown'), '8vb', () => take(midi - OCTAVE), midi - OCTAVE < min)}
              {small(t('builder.octaveUp'), '8va', () => take(midi + OCTAVE), midi + OCTAVE > max)}
            </>
          )}
          {fromSounding &&
            listen &&
            small(
              t('noteField.play'),
              <Mic size={18} aria-hidden="true" />,
              () => {
                if (isWaiting) {
                  stop();
                  return;
                }
                setAsked(true);
                listen((sounding) => {
                  setAsked(false);
                  const note = octaveWithin(fromSounding(sounding), min, max);
                  if (note !== null) onChange(note);
                });
              },
              false,
              isWaiting,
            )}
        </Flex>
      }
    />
  );
}
