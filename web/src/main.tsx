import './styles.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App.js';
import { SignedOut, Unreachable } from './store/client.js';
import { later } from './store/Device.js';
import { keepAnswers } from './store/keepAnswers.js';
import { IndexedAnswers } from './store/kept/answers.js';
import { PreferencesProvider } from './ui/Preferences.js';

const queries: QueryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof Unreachable && !(error instanceof SignedOut) && count < 2,
      staleTime: 5_000,
      // The server may be on this very machine, whatever the browser knows of a network.
      networkMode: 'always',
      persister: keepAnswers({
        store: new IndexedAnswers(),
        form: __ANSWER_FORM__,
        now: () => Date.now(),
        later,
        cameLate: (key, data) => queries.setQueryData(key, data),
      }),
    },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <PreferencesProvider>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </PreferencesProvider>
    </QueryClientProvider>
  </StrictMode>,
);
