import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { t } from '../messages/words';
import { usePageTitle } from './title';

/** A page of the application: fetched when it is first opened, with the title that the window has meanwhile. */
interface PageOf {
  title: string;
  View: LazyExoticComponent<ComponentType>;
}

const page = <Name extends string>(
  title: string,
  load: () => Promise<Record<Name, ComponentType>>,
  name: Name,
): PageOf => ({ title, View: lazy(async () => ({ default: (await load())[name] })) });

const today = page(t('nav.today'), () => import('../views/today/TodayView'), 'TodayView');
const week = page(t('nav.week'), () => import('../views/week/WeekView'), 'WeekView');
const editor = page(
  t('page_title.formula_edit'),
  () => import('../views/formulas/FormulaEditorView'),
  'FormulaEditorView',
);

export const pages = {
  counter: page(t('page_title.counter'), () => import('../views/counter/CounterView'), 'CounterView'),
  /** Those under the board, by their address. */
  inside: {
    '/today': today,
    '/today/intake': page(t('intake.title'), () => import('../views/intake/IntakeView'), 'IntakeView'),
    '/today/intake/report/:personId': page(
      t('page_title.report'),
      () => import('../views/intake/IntakeReport'),
      'IntakeReport',
    ),
    '/today/:date': today,
    '/week': week,
    '/week/:date': week,
    '/week/:date/sheet': page(t('page_title.week_sheet'), () => import('../views/week/WeekSheet'), 'WeekSheet'),
    '/shelf': page(t('nav.shelf'), () => import('../views/shelf/ShelfView'), 'ShelfView'),
    '/shelf/ahead': page(t('nav.weeks_ahead'), () => import('../views/timeline/TimelineView'), 'TimelineView'),
    '/shelf/:batchId': page(t('page_title.batch'), () => import('../views/batch/BatchView'), 'BatchView'),
    '/shelf/:batchId/log': page(t('page_title.log'), () => import('../views/log/LogView'), 'LogView'),
    '/shelf/:batchId/check': page(t('page_title.check'), () => import('../views/check/CheckView'), 'CheckView'),
    '/practice': page(t('page_title.practice'), () => import('../views/check/PracticeView'), 'PracticeView'),
    '/bench': page(t('nav.bench'), () => import('../views/bench/BenchView'), 'BenchView'),
    '/formulas': page(t('nav.formulas'), () => import('../views/formulas/FormulasView'), 'FormulasView'),
    '/formulas/import': page(t('page_title.import'), () => import('../views/formulas/ImportView'), 'ImportView'),
    '/formulas/new': editor,
    '/formulas/:formulaId': page(t('page_title.formula'), () => import('../views/formulas/FormulaView'), 'FormulaView'),
    '/formulas/:formulaId/edit': editor,
    '/labels': page(t('page_title.labels'), () => import('../views/labels/LabelsView'), 'LabelsView'),
    '/kitchen': page(t('nav.kitchen'), () => import('../views/kitchen/KitchenView'), 'KitchenView'),
  } satisfies Record<string, PageOf>,
};

/** A page with its title; one that knows better, as a jar does, says so itself. */
export function Page({ page: { title, View } }: { page: PageOf }) {
  usePageTitle(title);

  return <View />;
}
