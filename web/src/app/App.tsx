import { ConfigProvider } from 'antd';
import { lazy, Suspense, useEffect } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { useSession } from '../api/queries';
import { componentTexts } from '../messages/componentTexts';
import { AppLayout } from './AppLayout';
import { PageState } from './PageState';
import './focusReturn';
import { fetched } from './later';
import { NoticeBoard } from './NoticeBoard';
import { NowhereView } from './NowhereView';
import { Page, pages } from './pages';
import { useIsDark, usePrefersStillness } from './preferences';
import { useScrollPlaces } from './scrollPlaces';
import { daylightTheme, eveningTheme } from './theme';

export function App() {
  const isDark = useIsDark();
  const colours = isDark ? eveningTheme : daylightTheme;
  useEffect(() => {
    document.documentElement.dataset.scheme = isDark ? 'dark' : 'light';
  }, [isDark]);
  const isStill = usePrefersStillness();

  return (
    <ConfigProvider locale={texts} theme={{ ...colours, token: { ...colours.token, motion: !isStill } }}>
      <BrowserRouter>
        <AppRoutes />
        <NoticeBoard />
      </BrowserRouter>
    </ConfigProvider>
  );
}

const texts = componentTexts();

const SignInView = lazy(async () => ({
  default: (await fetched(() => import('../views/signin/SignInView'))).SignInView,
}));

/** Pages for whoever holds the link to one, signed in or not. */
const outside = [
  ['/join/:secret', pages.join],
  ['/new-password/:token', pages.newPassword],
  ['/report/:secret', pages.sharedReport],
] as const;

function AppRoutes() {
  useScrollPlaces();

  return (
    <Suspense fallback={<PageState query={{ error: null, refetch: () => undefined }} />}>
      <Routes>
        {outside.map(([path, page]) => (
          <Route key={path} path={path} element={<Page page={page} />} />
        ))}
        <Route path="*" element={<Inside />} />
      </Routes>
    </Suspense>
  );
}

/** What is for those who are signed in; for others the door. */
function Inside() {
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
      <Route path="/counter/:batchId" element={<Page page={pages.counter} />} />
      <Route element={<AppLayout household={household} />}>
        {Object.entries(pages.inside).map(([path, page]) => (
          <Route key={path} path={path} element={<Page page={page} />} />
        ))}
        <Route path="/" element={<Navigate to="/today" replace />} />
        <Route path="*" element={<NowhereView />} />
      </Route>
    </Routes>
  );
}
