'use client';

/** When even the frame of the page could not be made: plain, without anything that could fail again. */
export default function GlobalError({ error }: { error: { digest?: string } }) {
  return (
    <html lang="en">
      <body style={{ fontFamily: 'sans-serif', padding: 24 }}>
        <h1>The application could not be shown</h1>
        <p>
          Nothing that was saved is lost. Load the page again; if it stays so, tell a technician.
        </p>
        {error.digest && <p>Fault {error.digest}</p>}
        <button onClick={() => window.location.reload()}>Try again</button>
      </body>
    </html>
  );
}
