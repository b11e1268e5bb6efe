import Button from '@mui/material/Button';
import type { ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

interface FileButtonProps extends Omit<ButtonProps, 'onClick'> {
  /** What the file is, for those who do not see the button. */
  label: string;
  accept: string;
  onFile: (file: File) => void;
}

/** A button that asks for a file; the same file can be given again. */
export function FileButton({ label, accept, onFile, ...button }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        aria-label={label}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) onFile(file);
          target.value = '';
        }}
      />
    </>
  );
}
