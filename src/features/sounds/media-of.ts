/**
 * What kind of sound a file is, by how it begins: WebM (EBML, RFC 8794), Ogg (RFC 3533), MP4 (ISO/IEC
 * 14496-12) and WAVE are what browsers record. Null for anything else.
 */
export function mediaOf(bytes: Buffer): string | null {
  if (bytes.length < 12) return null;
  if (bytes.readUInt32BE(0) === 0x1a45dfa3) return 'audio/webm';
  const [head, next] = [bytes.toString('latin1', 0, 4), bytes.toString('latin1', 4, 8)];
  if (head === 'OggS') return 'audio/ogg';
  if (next === 'ftyp') return 'audio/mp4';
  return head === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WAVE' ? 'audio/wav' : null;
}
