/** A view that takes a file itself has said so; whatever else is dropped on the window is taken here, and never opened in its place. */
export function listenForDrops(go: (path: string) => void): () => void {
  const over = (e: DragEvent): void => {
    if (e.dataTransfer?.types.includes('Files')) e.preventDefault();
  };
  const drop = (e: DragEvent): void => {
    if (e.defaultPrevented || !e.dataTransfer?.types.includes('Files')) return;
    e.preventDefault();
    const files = [...e.dataTransfer.files];
    // fetched with the first file that is dropped
    void import('./takeDropped.ts').then(({ takeDropped }) => takeDropped(files, go));
  };
  window.addEventListener('dragover', over);
  window.addEventListener('drop', drop);
  return () => {
    window.removeEventListener('dragover', over);
    window.removeEventListener('drop', drop);
  };
}
