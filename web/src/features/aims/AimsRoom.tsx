import { useState } from 'react';
import { playersHorn } from '../../addresses/index.ts';
import { addAim, finishAim } from '../../storage/index.ts';
import { AimsView } from './AimsView.tsx';
import { useAims } from './useAims.ts';

/** What the player wants to reach, and how far it is week by week. */
export function Component() {
  const [now] = useState(() => Date.now());
  const aims = useAims(now);
  if (!aims) return null;
  const { hornId } = aims.settings;
  return (
    <AimsView
      aims={aims}
      horn={playersHorn(aims.settings)}
      onAdd={(aim) => void addAim({ ...aim, hornId, createdAt: Date.now() })}
      onFinish={(id, isDone) => void finishAim(id, isDone ? Date.now() : null)}
    />
  );
}
