import { chakra, Flex, type FlexProps } from '@chakra-ui/react';
import type { ReactNode, SyntheticEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from '../ui/index.ts';

interface FormRowProps extends Pick<FlexProps, 'gap' | 'mt' | 'mb'> {
  /** What the form library makes of sending: called with the event, it goes on where nothing is wrong. */
  onSend: (event: SyntheticEvent) => void;
  send: string;
  /** Where the form can be left without being sent. */
  onCancel?: () => void;
  children: ReactNode;
}

/** A form of one row: its fields, and what sends it. */
export function FormRow({ onSend, send, onCancel, children, gap = '5', mt, mb }: FormRowProps) {
  const { t } = useTranslation();
  return (
    <chakra.form noValidate onSubmit={onSend} mt={mt} mb={mb}>
      <Flex gap={gap} wrap="wrap" alignItems="flex-start">
        {children}
        <ActionButton type="submit" mt="5">
          {send}
        </ActionButton>
        {onCancel && (
          <ActionButton look="plain" mt="5" onClick={onCancel}>
            {t('form.cancel')}
          </ActionButton>
        )}
      </Flex>
    </chakra.form>
  );
}
