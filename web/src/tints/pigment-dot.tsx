/** A pigment by itself, as a chip of its colour. */
export const PigmentDot = ({ colour, size = 24 }: { colour: string | undefined; size?: number }) => (
  <span
    className="border-base-content/30 shrink-0 border"
    style={{ width: size, height: size, background: colour }}
    aria-hidden="true"
  />
);
