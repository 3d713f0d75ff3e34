'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** Reads the page again while it is looked at, as long as nobody is typing on it. */
export function LiveRefresh({ seconds }: { seconds: number }) {
  const router = useRouter();
  useEffect(() => {
    const timer = setInterval(() => {
      const typing = document.activeElement?.matches('input, textarea, [role=textbox]') ?? false;
      if (document.visibilityState === 'visible' && !typing && navigator.onLine) router.refresh();
    }, seconds * 1000);
    return () => clearInterval(timer);
  }, [router, seconds]);
  return null;
}
