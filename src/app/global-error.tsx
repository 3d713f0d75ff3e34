'use client';
import { useEffect } from 'react';
import { comeBack } from '@/platform/recover';

/** When even the frame of the page could not be made: plain, without anything that could fail again. */
export default function GlobalError({ error }: { error: { digest?: string } }) {
  useEffect(() => comeBack(), []);
  return (
    <html lang="en">
      <body style={{ fontFamily: 'sans-serif', padding: 24 }}>
        <h1>The application could not be shown</h1>
        <p>
          Nothing that was saved is lost. The page comes back by itself when the server can be reached; if it
          does not, load it again or tell a technician.
        </p>
        {error.digest && <p>Fault {error.digest}</p>}
        <button onClick={() => window.location.reload()}>Try again</button>
      </body>
    </html>
  );
}
