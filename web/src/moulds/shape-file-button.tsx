import { FileUp } from 'lucide-react';
import { FileButton } from '../ui/file-button';

/** Chooses a mesh, an outline or a photo. */
export function ShapeFileButton({
  label,
  className,
  onFile,
}: {
  label: string;
  className: string;
  onFile: (file: File) => Promise<void>;
}) {
  return (
    <FileButton
      className={className}
      label="A mesh, an outline or a photo"
      accept=".stl,.obj,.3mf,.svg,.dxf,image/*"
      onFile={onFile}
    >
      <FileUp size={18} aria-hidden="true" /> {label}
    </FileButton>
  );
}
