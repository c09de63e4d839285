import type { ReactNode } from 'react';
import { buttonClass } from './button.js';

/** A button that lets a person choose one file; the same file can be chosen again. */
export function FilePicker({
  accept,
  onFile,
  look = 'solid',
  children,
}: {
  accept: string;
  onFile: (file: File) => void;
  look?: 'solid' | 'outline';
  children: ReactNode;
}) {
  return (
    <label
      className={`${buttonClass(look)} cursor-pointer focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-look-sooner`}
    >
      {children}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) onFile(file);
          e.target.value = '';
        }}
      />
    </label>
  );
}
