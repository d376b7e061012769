import { Box, Flex } from '@chakra-ui/react';
import { Component, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { OwnTable } from '../storage/index.ts';
import { ActionButton } from '../ui/index.ts';
import { storageWorker } from '../workers/index.ts';

interface ShownRowProps {
  table: OwnTable;
  /** Null where nothing stored is behind it that could be set aside. */
  id: string | null;
  children: ReactNode;
}

/** One row of a list. One that cannot be drawn is named in its place and can be set aside; the others are drawn. */
export class ShownRow extends Component<ShownRowProps, { hasFailed: boolean }> {
  override state = { hasFailed: false };

  static getDerivedStateFromError() {
    return { hasFailed: true };
  }

  override render() {
    const { children, table, id } = this.props;
    return this.state.hasFailed ? <DamagedRow table={table} id={id} /> : children;
  }
}

function DamagedRow({ table, id }: Pick<ShownRowProps, 'table' | 'id'>) {
  const { t } = useTranslation();
  return (
    <Flex gap="4" wrap="wrap" alignItems="baseline" py="3" data-testid="damaged-row">
      <Box flex="1">{t('damagedRow.text')}</Box>
      {id !== null && (
        <ActionButton look="plain" onClick={() => void storageWorker()?.setRowAside(table, id)}>
          {t('failed.setAside')}
        </ActionButton>
      )}
    </Flex>
  );
}
