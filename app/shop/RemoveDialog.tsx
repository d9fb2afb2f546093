import { AlertDialog } from 'radix-ui';
import { Button } from '../ui/controls.tsx';

/** Asks before a job leaves the list. */
export function RemoveDialog({
  title,
  onRemove,
  onClose,
}: {
  readonly title: string;
  readonly onRemove: () => void;
  readonly onClose: () => void;
}) {
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <AlertDialog.Content className="fixed left-1/2 top-1/2 z-40 grid w-[min(30rem,92vw)] -translate-x-1/2 -translate-y-1/2 gap-3 rounded-[4px] border-2 border-edge bg-panel p-5 text-ink">
          <AlertDialog.Title className="text-xl font-semibold">Remove this job?</AlertDialog.Title>
          <AlertDialog.Description>
            {title} leaves the list with its readings and pictures. Until the removed jobs are emptied, at the foot of
            the list, it can be brought back.
          </AlertDialog.Description>
          <div className="flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Keep it</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button tone="stop" onClick={onRemove}>
                Remove
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
