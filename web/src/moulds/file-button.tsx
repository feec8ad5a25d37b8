import { useRef } from 'react';
import { FileUp } from 'lucide-react';

export interface FileButtonProps {
  readonly label: string;
  readonly className?: string;
  readonly onFile: (file: File) => Promise<void>;
}

/** Chooses a mesh, an outline or a photo. */
export function FileButton({ label, className = '', onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className={`btn ${className}`} onClick={() => input.current?.click()}>
        <FileUp size={18} aria-hidden="true" /> {label}
      </button>
      <input
        ref={input}
        type="file"
        accept=".stl,.obj,.3mf,.svg,.dxf,image/*"
        className="sr-only"
        tabIndex={-1}
        aria-label="A mesh, an outline or a photo"
        onChange={({ target }) => {
          const file = target.files?.[0];
          target.value = '';
          if (file) void onFile(file);
        }}
      />
    </>
  );
}
