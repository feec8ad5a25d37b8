import { useId } from 'react';
import type { CountedFace } from '@dewpot/contract';
import { castPictureAddress } from '../api/pictures';

/** Millimetres of the piece that a pixel of its photo is wide. */
const scaleOf = ({ across, patch, picture }: CountedFace) => across / (patch.width * picture.width);
const heightOf = (face: CountedFace) => face.patch.height * face.picture.height * scaleOf(face);

/** A face's photo with the corner of its patch at the origin, in millimetres of the piece. */
function Patch({ face }: { face: CountedFace }) {
  const { picture, patch } = face;
  const scale = scaleOf(face);
  const [width, height] = [picture.width * scale, picture.height * scale];
  return <image href={castPictureAddress(picture.id, 'large')} x={-patch.x * width} y={-patch.y * height} width={width} height={height} preserveAspectRatio="none" />;
} // prettier-ignore

/** As much of two patches as both have, the left one over the right one as far as the slider stands, 0–1. */
export function FacesDrawing({ left, right, at, label }: { left: CountedFace; right: CountedFace; at: number; label: string }) {
  const id = useId();
  const width = Math.min(left.across, right.across);
  const height = Math.min(heightOf(left), heightOf(right));
  const edge = width * at;
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block w-full" role="img" aria-label={label}>
      <defs>
        <clipPath id={`${id}left`}>
          <rect width={edge} height={height} />
        </clipPath>
        <clipPath id={`${id}right`}>
          <rect x={edge} width={width - edge} height={height} />
        </clipPath>
      </defs>
      <g clipPath={`url(#${id}right)`}>
        <Patch face={right} />
      </g>
      <g clipPath={`url(#${id}left)`}>
        <Patch face={left} />
      </g>
      <line x1={edge} x2={edge} y1={0} y2={height} stroke="var(--color-accent)" strokeWidth={width / 200} />
    </svg>
  );
} // prettier-ignore
