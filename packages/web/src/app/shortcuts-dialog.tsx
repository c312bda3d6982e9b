import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { Button } from '../ui/button.js';
import { printKeys, useCommandState } from '../ui/commands.js';

/** Every key that does something right now, by group. */
export default function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  const { active, singleKeys, setSingleKeys } = useCommandState();
  const all = [...active.values()].flat();
  // A command on two keys is told once.
  const commands = all.filter((command, index) => all.findIndex(({ label }) => label === command.label) === index);
  const groups = [...new Set(commands.map((command) => command.group))];
  return (
    <Dialog open onClose={onClose} className="relative z-50 outline-none">
      <div className="fixed inset-0 bg-ink/30" aria-hidden />
      <div className="fixed inset-0 grid place-items-center p-4">
        <DialogPanel className="max-h-full w-full max-w-2xl overflow-y-auto border-2 border-ink bg-white p-6">
          <DialogTitle className="text-head">Keys</DialogTitle>
          <div className="mt-4 gap-8 sm:columns-2">
            {groups.map((group) => (
              <section key={group} className="mb-5 break-inside-avoid">
                <h3 className="border-b border-line pb-1 text-body">{group}</h3>
                <dl>
                  {commands
                    .filter((command) => command.group === group)
                    .map((command) => (
                      <div key={command.keys} className="flex justify-between gap-4 py-1">
                        <dt>{command.label}</dt>
                        <dd>
                          <kbd className="border border-line bg-porcelain px-1.5 font-text text-small whitespace-nowrap">
                            {printKeys(command.keys)}
                          </kbd>
                        </dd>
                      </div>
                    ))}
                </dl>
              </section>
            ))}
          </div>
          <div className="mt-4 flex flex-wrap items-center justify-between gap-4">
            <label className="flex items-center gap-2 text-small">
              <input
                type="checkbox"
                className="size-4 accent-ink"
                checked={singleKeys}
                onChange={(event) => setSingleKeys(event.target.checked)}
              />
              Keys without Ctrl or Alt are on
            </label>
            <Button onClick={onClose}>Close</Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
