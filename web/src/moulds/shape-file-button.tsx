import { FileUp } from 'lucide-react';
import type { ButtonStyle } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { useSay } from '../ui/say';

/** Chooses a mesh, an outline or a photo. */
export function ShapeFileButton({
  label,
  onFile,
  ...style
}: ButtonStyle & {
  label: string;
  onFile: (file: File) => Promise<void>;
}) {
  const say = useSay();
  return (
    <FileButton
      {...style}
      label={say('moulds.meshOutlinePhoto')}
      accept=".stl,.obj,.3mf,.svg,.dxf,image/*"
      onFile={onFile}
    >
      <FileUp size={18} aria-hidden="true" /> {label}
    </FileButton>
  );
}
