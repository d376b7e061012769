import { calibratedScale } from '@inner-hum/core/exercise';
import { useEffect, useState } from 'react';
import { useSelector } from 'react-redux';
import { useNavigate } from 'react-router';
import { type SessionStore, useSetup, useSession } from '../../session/index.ts';
import { changeSettings, saveCalibration } from '../../storage/index.ts';
import { useFreeKeys } from '../../ui/index.ts';
import { CalibrateView } from './CalibrateView.tsx';
import {
  EMPTY_FINDINGS,
  STEPS,
  type CalibrationFindings,
  type CalibrationFault,
} from './calibrationSteps.ts';
import { measureLoudness, measureRoom, measureRoundTrip } from './measurePlace.ts';

/** One minute, four steps, each of which starts and ends by itself; any of them can be skipped. */
export function Component() {
  const session = useSession();
  const navigate = useNavigate();
  const setup = useSetup();
  const phase = useSelector((state: SessionStore) => state.session.phase);
  const [step, setStep] = useState<number | null>(null);
  const [findings, setFindings] = useState<CalibrationFindings>(EMPTY_FINDINGS);
  const [fault, setFault] = useState<CalibrationFault | null>(null);
  const running = step !== null && step < STEPS.length ? STEPS[step] : null;

  useEffect(() => {
    if (running === null || fault !== null || phase !== 'free') return undefined;
    const abort = new AbortController();
    const next = (found: Partial<CalibrationFindings>) => {
      if (abort.signal.aborted) return;
      setFindings((before) => ({ ...before, ...found }));
      setStep((now) => (now ?? 0) + 1);
    };
    const fail = (why: CalibrationFault) => {
      if (!abort.signal.aborted) setFault(why);
    };
    const { live, desk } = session;
    switch (running) {
      case 'room':
        void measureRoom(live, desk, abort.signal).then((roomFloorDb) =>
          roomFloorDb === null ? fail('noSound') : next({ roomFloorDb }),
        );
        break;
      case 'soft':
        void measureLoudness(live, desk, findings.roomFloorDb, abort.signal).then(
          (softDb) => softDb !== null && next({ softDb }),
        );
        break;
      case 'loud':
        void measureLoudness(live, desk, findings.roomFloorDb, abort.signal).then((loudDb) => {
          if (loudDb === null) return;
          if (findings.softDb !== null && !calibratedScale(findings.softDb, loudDb)) fail('sameLoudness');
          else next({ loudDb });
        });
        break;
      case 'latency':
        void measureRoundTrip(session, abort.signal).then((roundTripSeconds) =>
          roundTripSeconds === null ? fail('noClicks') : next({ roundTripSeconds }),
        );
    }
    return () => abort.abort();
  }, [running, fault, phase, session, findings.roomFloorDb, findings.softDb]);

  const begin = async () => {
    if (!setup) return;
    await changeSettings({ source: 'microphone' });
    session.goFree({ ...setup, settings: { ...setup.settings, source: 'microphone', click: 'off' } });
    setFault(null);
    setStep(0);
  };
  const finish = async () => {
    const { roomFloorDb, softDb, loudDb, roundTripSeconds } = findings;
    await saveCalibration({
      roomFloorDb,
      scale: softDb !== null && loudDb !== null ? calibratedScale(softDb, loudDb) : null,
      roundTripSeconds,
    });
    await navigate('/case');
  };
  const forward = () => {
    if (step === null) void begin();
    else if (fault) setFault(null);
    else if (step >= STEPS.length) void finish();
  };
  useFreeKeys('space, enter, right, pagedown', forward);
  if (!setup) return null;
  return (
    <CalibrateView
      step={step}
      fault={fault}
      findings={findings}
      listening={phase === 'free'}
      naming={setup.settings.naming}
      onForward={forward}
      onSkip={() => {
        setFault(null);
        setStep((now) => Math.min(STEPS.length, (now ?? 0) + 1));
      }}
      onRetry={() => {
        session.forgetInput();
        void begin();
      }}
      onSimulated={() => void changeSettings({ source: 'standIn' }).then(() => navigate('/stand'))}
    />
  );
}
