import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton, downloadFile, ShareButton } from '../ui/index.ts';
import { reportPage, type Report } from './reportPage.ts';

interface ReportButtonsProps {
  /** Without the end. */
  fileName: string;
  /** Makes the report, with sound or without. */
  make(withSound: boolean): Promise<Report>;
  /** Whether there is any sound to put in. */
  hasSound: boolean;
}

const TYPE = 'text/html';

/** Saves or shares a report as one page that a teacher can open anywhere. */
export function ReportButtons({ fileName, make, hasSound }: ReportButtonsProps) {
  const { t } = useTranslation();
  const [busy, setBusy] = useState(false);
  const name = `${fileName}.html`;
  const page = async (withSound: boolean) =>
    new Blob([reportPage(await make(withSound), t('report.footer'))], { type: TYPE });
  async function save(withSound: boolean) {
    setBusy(true);
    try {
      downloadFile(name, await page(withSound), TYPE);
    } finally {
      setBusy(false);
    }
  }
  return (
    <Flex gap="4" wrap="wrap">
      <ActionButton look="plain" disabled={busy} onClick={() => void save(false)}>
        {t('report.save')}
      </ActionButton>
      {hasSound && (
        <ActionButton look="plain" disabled={busy} onClick={() => void save(true)}>
          {t('report.saveSound')}
        </ActionButton>
      )}
      <ShareButton name={name} type={TYPE} make={() => page(hasSound)} />
    </Flex>
  );
}
