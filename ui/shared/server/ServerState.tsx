'use client';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ReactNode, useState } from 'react';

/** Gives everything inside one memory of what the server keeps. */
export function ServerState({ children }: { children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: {
          // What a page shows came with it; what is changed is fetched again by name. Errors are told, not tried away.
          queries: {
            staleTime: Infinity,
            gcTime: 0,
            retry: false,
            refetchOnWindowFocus: false,
            refetchOnReconnect: false,
            networkMode: 'always',
          },
          mutations: { retry: false, networkMode: 'always' },
        },
      }),
  );
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}
