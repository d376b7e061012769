import { Box, chakra } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';

export interface Typed {
  /** The value as it is typed. */
  text: string;
  /** What such a value looks like, said where none can be read: "D6 or Bb4", "30 to 240". */
  example: string;
  /** Whether it could be read, and was taken. */
  onTyped(text: string): boolean;
}

/** A value that can be pressed and typed anew: enter or leaving takes it, escape leaves it as it was. */
export function TypedValue({
  label,
  shown,
  text,
  example,
  onTyped,
}: Typed & { label: string; shown: ReactNode }) {
  const { t } = useTranslation();
  const [draft, setDraft] = useState<string | null>(null);
  const [isUnread, setIsUnread] = useState(false);
  const close = () => {
    setDraft(null);
    setIsUnread(false);
  };
  if (draft === null)
    return (
      <chakra.button
        type="button"
        aria-label={t('typed.open', { name: label, value: text })}
        onClick={() => setDraft(text)}
        minH="touch"
        minW="9"
        cursor="text"
        borderBottomWidth="1px"
        borderBottomStyle="dotted"
        borderColor="edge"
      >
        {shown}
      </chakra.button>
    );
  const take = () => {
    if (draft.trim() === text || onTyped(draft.trim())) close();
    else setIsUnread(true);
  };
  return (
    <Box position="relative">
      <chakra.input
        ref={(input: HTMLInputElement | null) => {
          if (input && document.activeElement !== input) input.select();
        }}
        type="text"
        aria-label={label}
        aria-invalid={isUnread}
        value={draft}
        maxLength={20}
        onChange={(event) => {
          setDraft(event.target.value);
          setIsUnread(false);
        }}
        onBlur={() => {
          if (draft.trim() !== text) onTyped(draft.trim());
          close();
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') take();
          if (event.key === 'Escape') close();
        }}
        w="10"
        minH="touch"
        textAlign="center"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="edge"
        borderRadius="round"
        bg="transparent"
      />
      {isUnread && (
        <Box role="alert" fontSize="small" color="muted" position="absolute" whiteSpace="nowrap">
          {t('typed.unread', { example })}
        </Box>
      )}
    </Box>
  );
}
