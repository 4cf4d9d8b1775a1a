import { lazy, Suspense, type ReactNode } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { usePreferences } from './preferences/Preferences.js';
import { Board } from './screens/board/Board.js';
import { FactsProvider } from './runs/FactsOutbox.js';
import { Message } from './shell/Message.js';

const RunScreen = lazy(() => import('./runs/RunScreen.js').then((m) => ({ default: m.RunScreen })));
const LineScreen = lazy(() =>
  import('./screens/line/LineScreen.js').then((m) => ({ default: m.LineScreen })),
);
const MakeScreen = lazy(() =>
  import('./screens/make/MakeScreen.js').then((m) => ({ default: m.MakeScreen })),
);
const CardScreen = lazy(() =>
  import('./screens/card/CardScreen.js').then((m) => ({ default: m.CardScreen })),
);
const CutScreen = lazy(() => import('./screens/cut/CutScreen.js').then((m) => ({ default: m.CutScreen })));
const ProveScreen = lazy(() =>
  import('./screens/prove/ProveScreen.js').then((m) => ({ default: m.ProveScreen })),
);
const RouteScreen = lazy(() =>
  import('./screens/route/RouteScreen.js').then((m) => ({ default: m.RouteScreen })),
);
const BondScreen = lazy(() =>
  import('./screens/bond/BondScreen.js').then((m) => ({ default: m.BondScreen })),
);
const SealScreen = lazy(() =>
  import('./screens/seal/SealScreen.js').then((m) => ({ default: m.SealScreen })),
);
const HandoverScreen = lazy(() =>
  import('./screens/handover/HandoverScreen.js').then((m) => ({ default: m.HandoverScreen })),
);
const NewRunScreen = lazy(() =>
  import('./screens/newRun/NewRunScreen.js').then((m) => ({ default: m.NewRunScreen })),
);

export function App(): ReactNode {
  const { theme } = usePreferences();
  return (
    <FactsProvider>
      <Suspense fallback={<Message title="One moment…" />}>
        <Routes>
          <Route path="/" element={<Board />} />
          <Route path="/jobs/:jobId/new" element={<NewRunScreen />} />
          <Route path="/runs/:runId" element={<RunScreen />}>
            <Route index element={<Navigate to="plan" replace />} />
            <Route path="plan" element={<LineScreen />} />
            <Route path="make" element={<MakeScreen />} />
            <Route path="make/:endId" element={<CardScreen />} />
            <Route path="cut" element={<CutScreen />} />
            <Route path="prove" element={<ProveScreen />} />
            <Route path="route" element={<RouteScreen />} />
            <Route path="bond" element={<BondScreen />} />
            <Route path="seal" element={<SealScreen />} />
            <Route path="handover" element={<HandoverScreen />} />
          </Route>
          <Route
            path="*"
            element={
              <Message
                title="There is nothing at this address"
                detail="The link may be old, or the run was deleted."
                action={{ label: 'Go to the board', to: '/' }}
              />
            }
          />
        </Routes>
      </Suspense>
      <Toaster theme={theme} position="bottom-center" toastOptions={{ className: 'font-sans' }} />
    </FactsProvider>
  );
}
