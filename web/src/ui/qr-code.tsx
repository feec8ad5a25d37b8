import { useMemo } from 'react';
import { create } from 'qrcode';

/** White modules around a code, without which none is read. */
const QUIET = 4;

/** A QR code of an address. It is black on white in every theme: readers want it so. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { size, path } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const cells = Array.from({ length: modules.size ** 2 }, (_, i) => [i % modules.size, Math.floor(i / modules.size)] as const); // prettier-ignore
    return {
      size: modules.size + 2 * QUIET,
      path: cells.flatMap(([x, y]) => (modules.get(y, x) ? [`M${x + QUIET} ${y + QUIET}h1v1h-1z`] : [])).join(''),
    };
  }, [text]);
  return (
    <svg viewBox={`0 0 ${size} ${size}`} className="w-44 bg-white" role="img" aria-label={label}>
      <path d={path} fill="black" shapeRendering="crispEdges" />
    </svg>
  );
}
