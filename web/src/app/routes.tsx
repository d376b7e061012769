import { createBrowserRouter, Navigate } from 'react-router';
import { Shell } from './Shell.tsx';
import { RoomFailed } from './RoomFailed.tsx';
import { Doorway } from './Doorway.tsx';

/** Each room is loaded when it is first entered. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Doorway />,
    errorElement: <RoomFailed />,
    HydrateFallback: () => null,
    children: [
      { path: 'reading', lazy: () => import('../features/reading/ReadingRoom.tsx') },
      { path: 'welcome', lazy: () => import('../features/welcome/WelcomeRoom.tsx') },
      { path: 'high/sheet', lazy: () => import('../features/high/HighSheetRoom.tsx') },
      { path: 'shelf/sheet', lazy: () => import('../features/sheet/SheetRoom.tsx') },
      {
        element: <Shell />,
        children: [
          { index: true, element: <Navigate to="/stand" replace /> },
          { path: 'today', lazy: () => import('../features/today/TodayRoom.tsx') },
          { path: 'stand', lazy: () => import('../features/stand/FreeDeskRoom.tsx') },
          { path: 'stand/swell', lazy: () => import('../features/stand/SwellRoom.tsx') },
          { path: 'stand/drill/:familyId', lazy: () => import('../features/stand/DrillRoom.tsx') },
          { path: 'stand/trial/:trialId', lazy: () => import('../features/stand/TrialRoom.tsx') },
          { path: 'stand/own/:exerciseId', lazy: () => import('../features/stand/OwnRoom.tsx') },
          { path: 'takes', lazy: () => import('../features/takes/TakesRoom.tsx') },
          { path: 'takes/round/:roundId', lazy: () => import('../features/takes/RoundRoom.tsx') },
          { path: 'takes/:takeId', lazy: () => import('../features/takes/TakeRoom.tsx') },
          { path: 'ladder', lazy: () => import('../features/ladder/LadderRoom.tsx') },
          { path: 'ladder/routes', lazy: () => import('../features/ladder/RoutesRoom.tsx') },
          { path: 'ladder/match', lazy: () => import('../features/ladder/MatchRoom.tsx') },
          { path: 'map', lazy: () => import('../features/map/MapRoom.tsx') },
          { path: 'map/mouthpiece', lazy: () => import('../features/map/AdviceRoom.tsx') },
          { path: 'map/findings', lazy: () => import('../features/map/FindingsRoom.tsx') },
          { path: 'high', lazy: () => import('../features/high/HighRoom.tsx') },
          { path: 'ladder/subtone', lazy: () => import('../features/ladder/SubtoneRoom.tsx') },
          { path: 'shelf', lazy: () => import('../features/shelf/ShelfRoom.tsx') },
          { path: 'shelf/family/:familyId', lazy: () => import('../features/shelf/FamilyRoom.tsx') },
          { path: 'shelf/own/:exerciseId', lazy: () => import('../features/builder/BuilderRoom.tsx') },
          { path: 'logbook', lazy: () => import('../features/logbook/LogbookRoom.tsx') },
          { path: 'logbook/trends', lazy: () => import('../features/logbook/TrendRoom.tsx') },
          { path: 'logbook/aims', lazy: () => import('../features/aims/AimsRoom.tsx') },
          { path: 'logbook/trials', lazy: () => import('../features/trials/TrialsRoom.tsx') },
          { path: 'logbook/ear', lazy: () => import('../features/ear/EarRoom.tsx') },
          { path: 'logbook/:day', lazy: () => import('../features/logbook/DayRoom.tsx') },
          { path: 'case', lazy: () => import('../features/case/CaseRoom.tsx') },
          { path: 'case/keeping', lazy: () => import('../features/keeping/KeepingRoom.tsx') },
          { path: 'case/calibrate', lazy: () => import('../features/case/CalibrateRoom.tsx') },
          { path: '*', element: <Navigate to="/stand" replace /> },
        ],
      },
    ],
  },
]);
