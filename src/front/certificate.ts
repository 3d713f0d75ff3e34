/** The studio's own certificate, where it has one. */
import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { rootCertificates } from 'node:tls';

export type Certificate = { cert: string; key: string; trusted: boolean };

const BLOCK = /-----BEGIN CERTIFICATE-----[\s\S]+?-----END CERTIFICATE-----/g;

/**
 * Does a root that browsers carry stand behind this chain? A certificate that a studio made itself must not
 * make browsers insist on it: whoever loses it would be locked out for a year.
 */
export function publiclyTrusted(pem: string, roots: readonly string[] = rootCertificates): boolean {
  const chain = (pem.match(BLOCK) ?? []).map((one) => new X509Certificate(one));
  const last = chain.at(-1);
  if (last === undefined) return false;
  const linked = chain.every((one, i) => i === 0 || signedBy(chain[i - 1]!, one));
  return linked && roots.some((root) => signedBy(last, new X509Certificate(root)));
}

const signedBy = (one: X509Certificate, by: X509Certificate): boolean =>
  one.checkIssued(by) && one.verify(by.publicKey);

/**
 * Reads certificate (with its chain) and key. Errors: a file that cannot be read, by name; one without the
 * other.
 */
export function readCertificate(
  certFile: string | undefined,
  keyFile: string | undefined,
): Certificate | null {
  if (!certFile && !keyFile) return null;
  if (!certFile || !keyFile) throw new Error('JITEN_TLS_CERT and JITEN_TLS_KEY are given together.');
  const read = (path: string): string => {
    try {
      return readFileSync(path, 'utf8');
    } catch {
      throw new Error(`The certificate’s file ${path} cannot be read.`);
    }
  };
  const [cert, key] = [read(certFile), read(keyFile)];
  return { cert, key, trusted: publiclyTrusted(cert) };
}
