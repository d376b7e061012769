import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { type SessionController, SessionProvider } from '../session/index.ts';
import { styleNonce } from './mode.ts';
import { NoteListeningProvider } from './NoteListeningProvider.tsx';
import { router } from './routes.tsx';
import { store } from './store.ts';
import { system } from './theme.ts';

// The strict style policy lets through only what carries this page's nonce.
const styleCache = createCache({ key: 'ih', nonce: styleNonce });

export function App({ session }: { session: SessionController }) {
  return (
    <CacheProvider value={styleCache}>
      <ChakraProvider value={system}>
        <Provider store={store}>
          <SessionProvider controller={session}>
            <NoteListeningProvider>
              <RouterProvider router={router} />
            </NoteListeningProvider>
          </SessionProvider>
        </Provider>
      </ChakraProvider>
    </CacheProvider>
  );
}
