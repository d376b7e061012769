import { lazy, Suspense, useId, useRef, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation, useNavigate } from 'react-router';
import { loadMessages } from '../words/index.ts';
import { ActionButton } from './ActionButton.tsx';
import type { HelpTopic } from './helpTopics.ts';

const HelpPanel = lazy(async () => {
  const [panel] = await Promise.all([import('./HelpPanel.tsx'), loadMessages('help')]);
  return panel;
});

const OPEN = '#help';

interface RoomHelpProps {
  topic: HelpTopic;
  /** What stands above the panel, given the button that opens it. */
  children: (button: ReactNode) => ReactNode;
}

/** A button that tells how the room is used, and the panel it opens; escape closes it. The address says that it is open. */
export function RoomHelp({ topic, children }: RoomHelpProps) {
  const { t } = useTranslation();
  const { search, hash, state } = useLocation() as { search: string; hash: string; state: unknown };
  const navigate = useNavigate();
  const open = hash === OPEN;
  const show = (next: boolean) => void navigate({ search, hash: next ? OPEN : '' }, { replace: true, state });
  const panelId = useId();
  const button = useRef<HTMLButtonElement>(null);
  return (
    <div
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !open) return;
        show(false);
        button.current?.focus();
      }}
    >
      {children(
        <ActionButton
          ref={button}
          look="plain"
          aria-expanded={open}
          aria-controls={open ? panelId : undefined}
          onClick={() => show(!open)}
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
