import { pictureUrl } from './picture-url';

/** The part of a picture between fractions of its width and height; `aspect` is its height by its width. */
export type Part = { x: number; y: number; width: number; height: number; aspect: number };

/** A part of a picture, filling whatever it stands in. */
export function Cutout({
  sha,
  part,
  alt,
  share,
  className,
}: {
  sha: string;
  part: Part;
  alt: string;
  share?: string | null;
  className?: string | undefined;
}) {
  const { x, y, width, height, aspect } = part;
  return (
    <svg
      className={className}
      viewBox={`${x} ${y * aspect} ${width} ${height * aspect}`}
      preserveAspectRatio="xMidYMid slice"
      {...(alt === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': alt })}
    >
      <image href={pictureUrl(sha, 'medium', share)} width="1" height={aspect} />
    </svg>
  );
}
