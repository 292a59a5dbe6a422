import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

export interface SheetOpenProps {
  onClose: () => void;
  title: string;
  children: ReactNode;
}

/** A sheet while it is open; see `Sheet`. */
export function SheetOpen({ onClose, title, children }: SheetOpenProps) {
  return (
    <Dialog.Root open onOpenChange={(o) => !o && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="scribed fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(42rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded p-5"
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Dialog.Title className="text-xl">{title}</Dialog.Title>
            <Dialog.Close
              aria-label="Close"
              className="flex size-11 items-center justify-center rounded border border-hair"
            >
              <X aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
