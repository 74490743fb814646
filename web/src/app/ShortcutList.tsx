import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { SHORTCUT_LIST } from './useShortcuts';
import { sentences } from '../words';

/** What keys do. */
export default function ShortcutList({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} className="relative z-30">
      <div className="fixed inset-0 flex items-center justify-center bg-ink/30 p-4">
        <DialogPanel className="max-h-full w-[420px] overflow-auto border border-ink bg-paper p-5">
          <DialogTitle className="mb-3 text-heading font-bold">Shortcuts</DialogTitle>
          <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
            {SHORTCUT_LIST.map(({ keys, what }) => (
              <div key={keys} className="contents">
                <dt className="figures font-semibold whitespace-nowrap">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <p className="mt-3 text-fine text-soft">{sentences.lettersRest}</p>
          <button type="button" className="action mt-4" onClick={onClose}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
