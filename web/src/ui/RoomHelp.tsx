import { lazy, Suspense, useId, useRef, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { wordsOf } from '../words/index.ts';
import { ActionButton } from './ActionButton.tsx';
import type { HelpTopic } from './helpTopics.ts';

const HelpPanel = lazy(async () => {
  const [panel] = await Promise.all([import('./HelpPanel.tsx'), wordsOf('help')]);
  return panel;
});

interface RoomHelpProps {
  topic: HelpTopic;
  /** What stands above the panel, given the button that opens it. */
  children: (button: ReactNode) => ReactNode;
}

/** A button that tells how the room is used, and the panel it opens; escape closes it. */
export function RoomHelp({ topic, children }: RoomHelpProps) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  const panelId = useId();
  const button = useRef<HTMLButtonElement>(null);
  return (
    <div
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !open) return;
        setOpen(false);
        button.current?.focus();
      }}
    >
      {children(
        <ActionButton
          ref={button}
          look="plain"
          aria-expanded={open}
          aria-controls={open ? panelId : undefined}
          onClick={() => setOpen(!open)}
        >
          {t('rooms.help')}
        </ActionButton>,
      )}
      {open && (
        <div id={panelId}>
          <Suspense fallback={null}>
            <HelpPanel topic={topic} />
          </Suspense>
        </div>
      )}
    </div>
  );
}
