import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { Provider } from 'react-redux';
import { useState } from 'react';
import { RouterProvider } from 'react-router/dom';
import { SessionProvider, type SessionDoor } from '../session/index.ts';
import { styleNonce } from './mode.ts';
import { NoteListeningProvider } from './NoteListeningProvider.tsx';
import { createRouter } from './routes.tsx';
import { store } from './store.ts';
import { system } from './theme.ts';

// The strict style policy lets through only what carries this page's nonce.
const styleCache = createCache({ key: 'ih', nonce: styleNonce });

export function App({ door }: { door: SessionDoor }) {
  const [router] = useState(() => createRouter(door));
  return (
    <CacheProvider value={styleCache}>
      <ChakraProvider value={system}>
        <Provider store={store}>
          <SessionProvider door={door}>
            <NoteListeningProvider>
              <RouterProvider router={router} />
            </NoteListeningProvider>
          </SessionProvider>
        </Provider>
      </ChakraProvider>
    </CacheProvider>
  );
}
