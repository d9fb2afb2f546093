import { Dialog } from 'radix-ui';
import { KEY_LIST } from '../ui/bindings.ts';

/** Every key and what it does. */
export function KeysDialog({
  open,
  onOpenChange,
}: {
  readonly open: boolean;
  readonly onOpenChange: (o: boolean) => void;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-1/2 z-40 max-h-[90dvh] w-[min(40rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-[4px] border-2 border-edge bg-panel p-5 text-ink"
        >
          <Dialog.Title className="mb-3 text-xl font-semibold">Keys</Dialog.Title>
          <table className="w-full text-left">
            <thead>
              <tr className="text-sm text-ink2">
                <th className="py-1 font-normal">Key</th>
                <th className="font-normal">Does</th>
                <th className="font-normal">Where</th>
              </tr>
            </thead>
            <tbody>
              {KEY_LIST.map((k) => (
                <tr key={k.id} className="border-t border-line">
                  <td className="num py-2 pr-3">{k.keys}</td>
                  <td className="pr-3">{k.does}</td>
                  <td className="text-ink2">{k.where}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Dialog.Close className="key mt-4 min-h-12 rounded-[4px] px-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
