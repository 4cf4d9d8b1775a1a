import {
  lazy,
  Suspense,
  useEffect,
  type ComponentType,
  type LazyExoticComponent,
  type ReactNode,
} from 'react';
import { Navigate, Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { fetchBackground } from './background/openBackground.js';
import { usePreferences } from './ui/Preferences.js';
import { DeviceProvider } from './store/Device.js';
import { Following } from './store/Following.js';
import { Board } from './screens/board/Board.js';
import { ErrorBoundary } from './ui/ErrorBoundary.js';
import { Message } from './ui/Message.js';
import { Entrance } from './frame/Entrance.js';
import { NewVersion } from './frame/NewVersion.js';

/** Screens come after the board: each is a script of its own, and all are fetched once the first page stands. */
const scripts: (() => Promise<unknown>)[] = [
  () => import('./store/readParcel.js'),
  () => import('./store/sendDrafts.js'),
  () => import('./store/keepSite.js'),
  () => import('./frame/Palette.js'),
  () => import('./frame/AsideWindow.js'),
  fetchBackground,
];

function screen<Name extends string>(
  load: () => Promise<Record<Name, ComponentType>>,
  name: Name,
): LazyExoticComponent<ComponentType> {
  scripts.push(load);
  return lazy(() => load().then((script) => ({ default: script[name] })));
}

const SignInScreen = screen(() => import('./screens/signIn/SignInScreen.js'), 'SignInScreen');
const JoinScreen = screen(() => import('./screens/signIn/JoinScreen.js'), 'JoinScreen');
const OpenLinkScreen = screen(() => import('./screens/look/OpenLinkScreen.js'), 'OpenLinkScreen');
const LookScreen = screen(() => import('./screens/look/LookScreen.js'), 'LookScreen');
const CrewScreen = screen(() => import('./screens/crew/CrewScreen.js'), 'CrewScreen');

/** All but the board want the catalogue. */
const WithShop = screen(() => import('./store/Shop.js'), 'WithShop');
const RunFrame = screen(() => import('./frame/RunFrame.js'), 'RunFrame');
const LineScreen = screen(() => import('./screens/line/LineScreen.js'), 'LineScreen');
const CablesScreen = screen(() => import('./screens/cables/CablesScreen.js'), 'CablesScreen');
const MakeScreen = screen(() => import('./screens/make/MakeScreen.js'), 'MakeScreen');
const CardScreen = screen(() => import('./screens/card/CardScreen.js'), 'CardScreen');
const BatchScreen = screen(() => import('./screens/batch/BatchScreen.js'), 'BatchScreen');
const ReelsScreen = screen(() => import('./screens/reels/ReelsScreen.js'), 'ReelsScreen');
const RepairScreen = screen(() => import('./screens/repair/RepairScreen.js'), 'RepairScreen');
const PracticeScreen = screen(() => import('./screens/practice/PracticeScreen.js'), 'PracticeScreen');
const ShopPracticeScreen = screen(() => import('./screens/practice/PracticeScreen.js'), 'ShopPracticeScreen');
const BackupsScreen = screen(() => import('./screens/backups/BackupsScreen.js'), 'BackupsScreen');
const EndsScreen = screen(() => import('./screens/ends/EndsScreen.js'), 'EndsScreen');
const CalibrateScreen = screen(() => import('./screens/calibrate/CalibrateScreen.js'), 'CalibrateScreen');
const DeviceScreen = screen(() => import('./screens/device/DeviceScreen.js'), 'DeviceScreen');
const CutScreen = screen(() => import('./screens/cut/CutScreen.js'), 'CutScreen');
const MatchScreen = screen(() => import('./screens/match/MatchScreen.js'), 'MatchScreen');
const ProveScreen = screen(() => import('./screens/prove/ProveScreen.js'), 'ProveScreen');
const RehearseScreen = screen(() => import('./screens/rehearse/RehearseScreen.js'), 'RehearseScreen');
const RouteScreen = screen(() => import('./screens/route/RouteScreen.js'), 'RouteScreen');
const TubeScreen = screen(() => import('./screens/ground/TubeScreen.js'), 'TubeScreen');
const GroundScreen = screen(() => import('./screens/ground/GroundScreen.js'), 'GroundScreen');
const DayScreen = screen(() => import('./screens/site/day/DayScreen.js'), 'DayScreen');
const DaySheetScreen = screen(() => import('./screens/site/day/DaySheetScreen.js'), 'DaySheetScreen');
const SiteHandoverScreen = screen(
  () => import('./screens/site/handover/SiteHandoverScreen.js'),
  'SiteHandoverScreen',
);
const PartsScreen = screen(() => import('./screens/site/parts/PartsScreen.js'), 'PartsScreen');
const GroundSiteScreen = screen(
  () => import('./screens/site/ground/GroundSiteScreen.js'),
  'GroundSiteScreen',
);
const PullScreen = screen(() => import('./screens/site/pull/PullScreen.js'), 'PullScreen');
const SiteScreen = screen(() => import('./screens/site/SiteScreen.js'), 'SiteScreen');
const SealCardScreen = screen(() => import('./screens/seal/SealCardScreen.js'), 'SealCardScreen');
const OpeningScreen = screen(() => import('./screens/seal/OpeningScreen.js'), 'OpeningScreen');
const SealScreen = screen(() => import('./screens/seal/SealScreen.js'), 'SealScreen');
const VisitScreen = screen(() => import('./screens/visit/VisitScreen.js'), 'VisitScreen');
const HandoverScreen = screen(() => import('./screens/handover/HandoverScreen.js'), 'HandoverScreen');
const CatalogScreen = screen(() => import('./screens/catalog/CatalogScreen.js'), 'CatalogScreen');
const IdentifyScreen = screen(() => import('./screens/identify/IdentifyScreen.js'), 'IdentifyScreen');
const QuickScreen = screen(() => import('./screens/quick/QuickScreen.js'), 'QuickScreen');
const KitScreen = screen(() => import('./screens/kit/KitScreen.js'), 'KitScreen');
const TrainScreen = screen(() => import('./screens/train/TrainScreen.js'), 'TrainScreen');
const InstrumentsScreen = screen(
  () => import('./screens/instruments/InstrumentsScreen.js'),
  'InstrumentsScreen',
);
const NewRunScreen = screen(() => import('./screens/newRun/NewRunScreen.js'), 'NewRunScreen');

const AFTER_FIRST_PAGE_MS = 800;

/** So that a server which stops later takes no screen with it. A script that cannot come now is asked for again when its screen opens. */
function useAllScreens(): void {
  useEffect(() => {
    const timer = setTimeout(
      () => void Promise.allSettled(scripts.map((load) => load())),
      AFTER_FIRST_PAGE_MS,
    );
    return () => clearTimeout(timer);
  }, []);
}

export function App(): ReactNode {
  const { theme } = usePreferences();
  useAllScreens();
  return (
    <ErrorBoundary>
      <DeviceProvider>
        <Suspense fallback={<Message title="One moment…" />}>
          <Entrance signIn={SignInScreen} look={LookScreen}>
            <Routes>
              <Route path="/" element={<Board />} />
              <Route path="/sign-in" element={<SignInScreen />} />
              <Route path="/join" element={<JoinScreen />} />
              <Route path="/look" element={<OpenLinkScreen />} />
              <Route path="/crew" element={<CrewScreen />} />
              <Route element={<WithShop />}>
                <Route path="/jobs/:jobId/new" element={<NewRunScreen />} />
                <Route path="/jobs/:jobId/practice" element={<PracticeScreen />} />
                <Route path="/jobs/:jobId/site" element={<SiteScreen />} />
                <Route path="/jobs/:jobId/pull/:wayId" element={<PullScreen />} />
                <Route path="/jobs/:jobId/ground" element={<GroundSiteScreen />} />
                <Route path="/jobs/:jobId/parts" element={<PartsScreen />} />
                <Route path="/jobs/:jobId/handover" element={<SiteHandoverScreen />} />
                <Route path="/jobs/:jobId/day" element={<DayScreen />} />
                <Route path="/jobs/:jobId/day/:person" element={<DaySheetScreen />} />
                <Route path="/jobs/:jobId/reels" element={<ReelsScreen />} />
                <Route path="/practice" element={<ShopPracticeScreen />} />
                <Route path="/ends" element={<EndsScreen />} />
                <Route path="/instruments" element={<InstrumentsScreen />} />
                <Route path="/backups" element={<BackupsScreen />} />
                <Route path="/device" element={<DeviceScreen />} />
                <Route path="/calibrate" element={<CalibrateScreen />} />
                <Route path="/catalog" element={<CatalogScreen />} />
                <Route path="/catalog/:kind" element={<CatalogScreen />} />
                <Route path="/catalog/:kind/:id" element={<CatalogScreen />} />
                <Route path="/identify" element={<IdentifyScreen />} />
                <Route path="/quick" element={<QuickScreen />} />
                <Route path="/quick/:sheet" element={<QuickScreen />} />
                <Route path="/kit" element={<KitScreen />} />
                <Route path="/train" element={<TrainScreen />} />
                <Route path="/runs/:runId" element={<RunFrame />}>
                  <Route index element={<Navigate to="plan" replace />} />
                  <Route path="plan" element={<LineScreen />} />
                  <Route path="cables" element={<CablesScreen />} />
                  <Route path="make" element={<MakeScreen />} />
                  <Route path="make/:endId" element={<CardScreen />} />
                  <Route path="make/:endId/batch" element={<BatchScreen />} />
                  <Route path="make/:endId/repair" element={<RepairScreen />} />
                  <Route path="cut" element={<CutScreen />} />
                  <Route path="match" element={<MatchScreen />} />
                  <Route path="prove" element={<ProveScreen />} />
                  <Route path="rehearse" element={<RehearseScreen />} />
                  <Route path="route" element={<RouteScreen />} />
                  <Route path="ground" element={<GroundScreen />} />
                  <Route path="ground/tube/:pieceId" element={<TubeScreen />} />
                  <Route path="seal" element={<SealScreen />} />
                  <Route path="seal/:jointId" element={<SealCardScreen />} />
                  <Route path="seal/:jointId/open" element={<OpeningScreen />} />
                  <Route path="visit" element={<VisitScreen />} />
                  <Route path="handover" element={<HandoverScreen />} />
                </Route>
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
            <Following />
          </Entrance>
        </Suspense>
        <NewVersion />
        <Toaster
          theme={theme}
          position="bottom-center"
          containerAriaLabel="Messages"
          toastOptions={{ className: 'font-sans' }}
        />
      </DeviceProvider>
    </ErrorBoundary>
  );
}
