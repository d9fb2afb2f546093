import { useEffect } from 'react';

/** A picture that is pasted anywhere in the view. */
export function usePasted(onPicture: (file: File) => void): void {
  useEffect(() => {
    const paste = (e: ClipboardEvent): void => {
      const file = [...(e.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/'));
      if (!file) return;
      e.preventDefault();
      onPicture(file);
    };
    window.addEventListener('paste', paste);
    return () => window.removeEventListener('paste', paste);
  });
}
