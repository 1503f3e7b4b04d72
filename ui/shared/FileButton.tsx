'use client';
import type { LucideIcon } from 'lucide-react';

interface Props {
  icon: LucideIcon;
  label: string;
  accept: string;
  onFile: (file: File) => void;
  small?: boolean;
}

/** A button that takes one file; the same one can be taken again. */
export function FileButton({ icon: Icon, label, accept, onFile, small }: Props) {
  return (
    <label className={`btn justify-self-start ${small ? 'btn-sm' : ''}`}>
      <Icon aria-hidden className={small ? 'size-4' : 'size-5'} /> {label}
      <input
        type="file"
        accept={accept}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
    </label>
  );
}
