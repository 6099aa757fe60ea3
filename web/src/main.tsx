import { keys } from './api/keys';
import '@fontsource-variable/public-sans';
import '@fontsource/young-serif';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { NO_ANSWER, Refusal } from './api/client';
import './app/base.css';
import { keepOnDevice } from './app/newVersion';
import { chosenLanguage, everySentence, loadLanguage } from './messages/catalogue';

/** How long until a server that did not answer is asked again, in ms. */
const WAITS_FOR_SERVER = 4000;

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      // Without a network the last answers are on the device.
      networkMode: 'always',
      retry: (failures, error) =>
        failures < 2 && !(error instanceof Refusal && error.status >= 400 && error.status < 500),
      // A server that was away comes back without anybody pressing anything.
      refetchInterval: ({ state: { error } }) =>
        error instanceof Refusal && error.status === NO_ANSWER ? WAITS_FOR_SERVER : false,
    },
  },
});

// A session that has ended shows at the next question; the sign-in page then takes over, and what was typed stays.
queries.getQueryCache().subscribe(({ query, type }) => {
  if (type === 'updated' && query.state.error instanceof Refusal && query.state.error.status === 401) {
    void queries.invalidateQueries({ queryKey: keys.session() });
  }
});

void keepOnDevice().catch(() => undefined);

const chosen = chosenLanguage();

// On Today the other sentences come with the first touch; every other page needs them at once.
const fetchSentences = () => void everySentence();
if (/^\/(today\/?)?$/.test(window.location.pathname)) {
  for (const touch of ['pointerdown', 'keydown']) {
    window.addEventListener(touch, fetchSentences, { once: true, capture: true });
  }
} else {
  fetchSentences();
}

const root = document.getElementById('root');
if (root) {
  await loadLanguage(chosen);
  document.documentElement.lang = chosen;
  // Modules may say something as they are loaded.
  const { App } = await import('./app/App');
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
}
