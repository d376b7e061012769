import { ChakraProvider } from '@chakra-ui/react';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import type { StandController } from '../features/stand/standTypes.ts';
import { StandProvider } from '../features/stand/StandProvider.tsx';
import { styleNonce } from './mode.ts';
import { router } from './routes.tsx';
import { store } from './store.ts';
import { system } from './theme.ts';

// The strict style policy lets through only what carries this page's nonce.
const styleCache = createCache({ key: 'ih', nonce: styleNonce });

export function App({ stand }: { stand: StandController }) {
  return (
    <CacheProvider value={styleCache}>
      <ChakraProvider value={system}>
        <Provider store={store}>
          <StandProvider controller={stand}>
            <RouterProvider router={router} />
          </StandProvider>
        </Provider>
      </ChakraProvider>
    </CacheProvider>
  );
}
