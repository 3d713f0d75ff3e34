/** The token of the session that a request came with; null where there is no request, as in a script. */
export async function presentSession(): Promise<string | null> {
  try {
    // Not above: scripts carry operations out too, and know nothing of requests.
    const { sessionToken } = await import('./session');
    return await sessionToken();
  } catch {
    return null;
  }
}
