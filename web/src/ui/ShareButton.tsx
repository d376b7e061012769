import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionButton } from './ActionButton.tsx';
import { canShare, shareFile } from './shareFile.ts';

interface ShareButtonProps {
  /** Of the file, with its ending. */
  name: string;
  type: string;
  make(): Promise<Blob> | Blob;
}

/** Shares a file through the system, where the system can. */
export function ShareButton({ name, type, make }: ShareButtonProps) {
  const { t } = useTranslation();
  const [busy, setBusy] = useState(false);
  if (!canShare(name, type)) return null;
  async function share() {
    setBusy(true);
    try {
      await shareFile(name, await make(), type);
    } finally {
      setBusy(false);
    }
  }
  return (
    <ActionButton look="plain" disabled={busy} onClick={() => void share()}>
      {t('share.button')}
    </ActionButton>
  );
}
