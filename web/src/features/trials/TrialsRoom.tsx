import { useState } from 'react';
import { useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { addTrial, deleteTrial, trialAddress } from '../../storage/index.ts';
import { TrialsView } from './TrialsView.tsx';
import { useTrials } from './useTrials.ts';

/** Two cues tried against each other, and what they showed. */
export function Component() {
  const trials = useTrials();
  const navigate = useNavigate();
  const [deletedId, setDeleted] = useState<string | null>(null);
  if (!trials) return null;
  return (
    <TrialsView
      trials={trials}
      horn={playersHorn(trials.settings)}
      deletedId={deletedId}
      onFix={(trial) =>
        void addTrial({ ...trial, createdAt: Date.now() }).then((id) => navigate(trialAddress(id)))
      }
      onDelete={(id) => {
        void deleteTrial(id, Date.now());
        setDeleted(id);
      }}
      onUndo={() => {
        if (deletedId) void deleteTrial(deletedId, null);
        setDeleted(null);
      }}
    />
  );
}
