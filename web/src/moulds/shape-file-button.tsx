import { FileUp } from 'lucide-react';
import type { ButtonStyle } from '../ui/button';
import { FileButton } from '../ui/file-button';

/** Chooses a mesh, an outline or a photo. */
export function ShapeFileButton({
  label,
  onFile,
  ...style
}: ButtonStyle & {
  label: string;
  onFile: (file: File) => Promise<void>;
}) {
  return (
    <FileButton
      {...style}
      label="A mesh, an outline or a photo"
      accept=".stl,.obj,.3mf,.svg,.dxf,image/*"
      onFile={onFile}
    >
      <FileUp size={18} aria-hidden="true" /> {label}
    </FileButton>
  );
}
