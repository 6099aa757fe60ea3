import { App as AntApp, ConfigProvider } from 'antd';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { useSession } from '../api/queries';
import { componentTexts } from '../messages/componentTexts';
import { BatchView } from '../views/batch/BatchView';
import { BenchView } from '../views/bench/BenchView';
import { CounterView } from '../views/counter/CounterView';
import { CheckView } from '../views/check/CheckView';
import { PracticeView } from '../views/check/PracticeView';
import { ImportView } from '../views/formulas/ImportView';
import { FormulaEditorView } from '../views/formulas/FormulaEditorView';
import { FormulasView } from '../views/formulas/FormulasView';
import { FormulaView } from '../views/formulas/FormulaView';
import { IntakeReport } from '../views/intake/IntakeReport';
import { IntakeView } from '../views/intake/IntakeView';
import { KitchenView } from '../views/kitchen/KitchenView';
import { LabelsView } from '../views/labels/LabelsView';
import { LogView } from '../views/log/LogView';
import { ShelfView } from '../views/shelf/ShelfView';
import { SignInView } from '../views/signin/SignInView';
import { TimelineView } from '../views/timeline/TimelineView';
import { TodayView } from '../views/today/TodayView';
import { WeekSheet } from '../views/week/WeekSheet';
import { WeekView } from '../views/week/WeekView';
import { AppLayout } from './AppLayout';
import { PageState } from './PageState';
import { usePrefersDark, usePrefersStillness } from './preferences';
import { daylight, evening } from './theme';

export function App() {
  const colours = usePrefersDark() ? evening : daylight;
  const isStill = usePrefersStillness();

  return (
    <ConfigProvider locale={texts} theme={{ ...colours, token: { ...colours.token, motion: !isStill } }}>
      <AntApp message={{ maxCount: 2 }}>
        <BrowserRouter>
          <AppRoutes />
        </BrowserRouter>
      </AntApp>
    </ConfigProvider>
  );
}

const texts = componentTexts();

function AppRoutes() {
  const session = useSession();
  if (!session.data) {
    return <PageState query={session} />;
  }
  const { household } = session.data;
  if (!household) {
    return <SignInView demoIsOpen={session.data.demoIsOpen} isFirst={session.data.isNew} />;
  }

  return (
    <Routes>
      <Route path="/counter/:batchId" element={<CounterView />} />
      <Route element={<AppLayout household={household} />}>
        <Route path="/today" element={<TodayView />} />
        <Route path="/today/intake" element={<IntakeView />} />
        <Route path="/today/intake/report/:personId" element={<IntakeReport />} />
        <Route path="/today/:date" element={<TodayView />} />
        <Route path="/week" element={<WeekView />} />
        <Route path="/week/:date" element={<WeekView />} />
        <Route path="/week/:date/sheet" element={<WeekSheet />} />
        <Route path="/shelf" element={<ShelfView />} />
        <Route path="/shelf/ahead" element={<TimelineView />} />
        <Route path="/shelf/:batchId" element={<BatchView />} />
        <Route path="/shelf/:batchId/log" element={<LogView />} />
        <Route path="/shelf/:batchId/check" element={<CheckView />} />
        <Route path="/practice" element={<PracticeView />} />
        <Route path="/bench" element={<BenchView />} />
        <Route path="/formulas" element={<FormulasView />} />
        <Route path="/formulas/import" element={<ImportView />} />
        <Route path="/formulas/new" element={<FormulaEditorView />} />
        <Route path="/formulas/:formulaId" element={<FormulaView />} />
        <Route path="/formulas/:formulaId/edit" element={<FormulaEditorView />} />
        <Route path="/labels" element={<LabelsView />} />
        <Route path="/kitchen" element={<KitchenView />} />
        <Route path="*" element={<Navigate to="/today" replace />} />
      </Route>
    </Routes>
  );
}
