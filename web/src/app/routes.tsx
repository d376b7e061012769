import { createBrowserRouter, Navigate } from 'react-router';
import type { SessionDoor } from '../session/index.ts';
import { loadMessages } from '../words/index.ts';
import { RoomFailed } from './RoomFailed.tsx';
import { isDemo } from './mode.ts';
import { Doorway } from './Doorway.tsx';

/** Each room is loaded when it is first entered. */
export function createRouter(door: SessionDoor) {
  /** A room comes with the words of all rooms and with the visit; the welcome has its own words, and asks before it plays. */
  const room =
    <Module,>(load: () => Promise<Module>) =>
    async () =>
      (await Promise.all([load(), loadMessages('app'), door.load()]))[0];
  return createBrowserRouter([
    {
      path: '/',
      element: <Doorway />,
      errorElement: <RoomFailed />,
      HydrateFallback: () => null,
      children: [
        { path: 'reading', lazy: room(() => import('../features/reading/ReadingRoom.tsx')) },
        { path: 'welcome', lazy: () => import('../features/welcome/WelcomeRoom.tsx') },
        { path: 'high/sheet', lazy: room(() => import('../features/high/HighSheetRoom.tsx')) },
        { path: 'shelf/sheet', lazy: room(() => import('../features/sheet/SheetRoom.tsx')) },
        // The demo has something to show; a player's own house is entered with the horn in hand.
        { index: true, element: <Navigate to={isDemo ? '/today' : '/stand'} replace /> },
        {
          // Whoever is asked the first questions does not need the rail yet.
          lazy: async () => ({ Component: (await import('./Shell.tsx')).Shell }),
          children: [
            { path: 'today', lazy: room(() => import('../features/today/TodayRoom.tsx')) },
            { path: 'today/why', lazy: room(() => import('../features/today/PlanRoom.tsx')) },
            { path: 'task', lazy: room(() => import('../features/task/TaskRoom.tsx')) },
            { path: 'task/new', lazy: room(() => import('../features/task/NewTaskRoom.tsx')) },
            { path: 'stand', lazy: room(() => import('../features/stand/FreeDeskRoom.tsx')) },
            { path: 'stand/swell', lazy: room(() => import('../features/stand/SwellRoom.tsx')) },
            { path: 'stand/drill/:familyId', lazy: room(() => import('../features/stand/DrillRoom.tsx')) },
            { path: 'stand/trial/:trialId', lazy: room(() => import('../features/stand/TrialRoom.tsx')) },
            { path: 'stand/own/:exerciseId', lazy: room(() => import('../features/stand/OwnRoom.tsx')) },
            { path: 'takes', lazy: room(() => import('../features/takes/TakesRoom.tsx')) },
            { path: 'takes/round/:roundId', lazy: room(() => import('../features/takes/RoundRoom.tsx')) },
            { path: 'takes/:takeId', lazy: room(() => import('../features/takes/TakeRoom.tsx')) },
            { path: 'ladder', lazy: room(() => import('../features/ladder/LadderRoom.tsx')) },
            { path: 'ladder/routes', lazy: room(() => import('../features/ladder/RoutesRoom.tsx')) },
            { path: 'ladder/match', lazy: room(() => import('../features/ladder/MatchRoom.tsx')) },
            { path: 'map', lazy: room(() => import('../features/map/MapRoom.tsx')) },
            { path: 'map/mouthpiece', lazy: room(() => import('../features/map/AdviceRoom.tsx')) },
            { path: 'map/findings', lazy: room(() => import('../features/map/FindingsRoom.tsx')) },
            { path: 'high', lazy: room(() => import('../features/high/HighRoom.tsx')) },
            { path: 'ladder/subtone', lazy: room(() => import('../features/ladder/SubtoneRoom.tsx')) },
            { path: 'shelf', lazy: room(() => import('../features/shelf/ShelfRoom.tsx')) },
            { path: 'shelf/family/:familyId', lazy: room(() => import('../features/shelf/FamilyRoom.tsx')) },
            {
              path: 'shelf/own/:exerciseId',
              lazy: room(() => import('../features/builder/BuilderRoom.tsx')),
            },
            { path: 'logbook', lazy: room(() => import('../features/logbook/LogbookRoom.tsx')) },
            { path: 'logbook/trends', lazy: room(() => import('../features/logbook/TrendRoom.tsx')) },
            { path: 'logbook/aims', lazy: room(() => import('../features/aims/AimsRoom.tsx')) },
            { path: 'logbook/trials', lazy: room(() => import('../features/trials/TrialsRoom.tsx')) },
            { path: 'logbook/ear', lazy: room(() => import('../features/ear/EarRoom.tsx')) },
            { path: 'logbook/:day', lazy: room(() => import('../features/logbook/DayRoom.tsx')) },
            { path: 'case', lazy: room(() => import('../features/case/CaseRoom.tsx')) },
            { path: 'case/hearing', lazy: room(() => import('../features/case/HearingRoom.tsx')) },
            { path: 'case/keeping', lazy: room(() => import('../features/backup/BackupRoom.tsx')) },
            {
              path: 'find',
              lazy: room(async () => {
                await loadMessages('help');
                return import('../features/find/FindRoom.tsx');
              }),
            },
            {
              path: 'words',
              lazy: room(async () => {
                await loadMessages('help');
                return import('../features/glossary/GlossaryRoom.tsx');
              }),
            },
            { path: 'case/calibrate', lazy: room(() => import('../features/case/CalibrateRoom.tsx')) },
            { path: '*', lazy: room(() => import('../features/nowhere/NowhereRoom.tsx')) },
          ],
        },
      ],
    },
  ]);
}
