import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { t } from '../messages/words';
import { useLocation } from 'react-router';
import { fetched } from './later';
import { PartBoundary } from './PartBoundary';
import { usePageTitle } from './title';

/** A page of the application: fetched when it is first opened, with the title that the window has meanwhile. */
interface PageOf {
  /** The code of its title. */
  title: string;
  View: LazyExoticComponent<ComponentType>;
}

const page = <Name extends string>(
  title: string,
  load: () => Promise<Record<Name, ComponentType>>,
  name: Name,
): PageOf => ({ title, View: lazy(async () => ({ default: (await fetched(load))[name] })) });

// The first page finds its sentences there.
const today: PageOf = {
  title: 'nav.today',
  View: lazy(async () => ({ default: (await import('../views/today/TodayView')).TodayView })),
};
const week = page('nav.week', () => import('../views/week/WeekView'), 'WeekView');
const editor = page(
  'page_title.formula_edit',
  () => import('../views/formulas/FormulaEditorView'),
  'FormulaEditorView',
);

export const pages = {
  join: page('page_title.join', () => import('../views/signin/JoinView'), 'JoinView'),
  newPassword: page('page_title.new_password', () => import('../views/signin/NewPasswordView'), 'NewPasswordView'),
  sharedReport: page('page_title.report', () => import('../views/intake/SharedReport'), 'SharedReport'),
  counter: page('page_title.counter', () => import('../views/counter/CounterView'), 'CounterView'),
  /** Those under the board, by their address. */
  inside: {
    '/today': today,
    '/today/intake': page('intake.title', () => import('../views/intake/IntakeView'), 'IntakeView'),
    '/today/intake/report/:personId': page(
      'page_title.report',
      () => import('../views/intake/IntakeReport'),
      'IntakeReport',
    ),
    '/today/:date': today,
    '/week': week,
    '/week/:date': week,
    '/week/:date/sheet': page('page_title.week_sheet', () => import('../views/week/WeekSheet'), 'WeekSheet'),
    '/shelf': page('nav.shelf', () => import('../views/shelf/ShelfView'), 'ShelfView'),
    '/shelf/ahead': page('nav.weeks_ahead', () => import('../views/timeline/TimelineView'), 'TimelineView'),
    '/shelf/:batchId': page('page_title.batch', () => import('../views/batch/BatchView'), 'BatchView'),
    '/shelf/:batchId/log': page('page_title.log', () => import('../views/log/LogView'), 'LogView'),
    '/shelf/:batchId/check': page('page_title.check', () => import('../views/check/CheckView'), 'CheckView'),
    '/practice': page('page_title.practice', () => import('../views/check/PracticeView'), 'PracticeView'),
    '/bench': page('nav.bench', () => import('../views/bench/BenchView'), 'BenchView'),
    '/formulas': page('nav.formulas', () => import('../views/formulas/FormulasView'), 'FormulasView'),
    '/formulas/import': page('page_title.import', () => import('../views/formulas/ImportView'), 'ImportView'),
    '/formulas/new': editor,
    '/formulas/:formulaId': page('page_title.formula', () => import('../views/formulas/FormulaView'), 'FormulaView'),
    '/formulas/:formulaId/edit': editor,
    '/labels': page('page_title.labels', () => import('../views/labels/LabelsView'), 'LabelsView'),
    '/account': page('page_title.account', () => import('../views/account/AccountView'), 'AccountView'),
    '/kitchen': page('nav.kitchen', () => import('../views/kitchen/KitchenView'), 'KitchenView'),
  } satisfies Record<string, PageOf>,
};

/** A page with its title; one that knows better, as a jar does, says so itself. */
export function Page({ page: { title, View } }: { page: PageOf }) {
  usePageTitle(t(title));
  const { pathname } = useLocation();

  return (
    <PartBoundary page={pathname}>
      <View />
    </PartBoundary>
  );
}
