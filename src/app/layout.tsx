import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import type { ReactNode } from 'react';
import { pageNonce } from '@/platform/peer';
import { ThemeRoot } from '@/ui/ThemeRoot';

export const metadata: Metadata = {
  title: { default: 'Jiten', template: '%s · Jiten' },
  description: 'Glaze tests, kiln openings and the studio’s shared chart',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = await pageNonce();
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data" nonce={nonce} />
        <AppRouterCacheProvider options={{ enableCssLayer: true, nonce }}>
          <ThemeRoot nonce={nonce}>
            <NuqsAdapter>{children}</NuqsAdapter>
          </ThemeRoot>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
