import { Button } from '../ui/button.js';
import { printKeys, useCommandState } from '../ui/commands.js';
import { Dialog } from '../ui/dialog.js';
import { Switch } from '../ui/switch.js';

/** Every key that does something right now, by group. */
export default function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  const { active, singleKeys, setSingleKeys } = useCommandState();
  const all = [...active.values()].flat();
  // A command on two keys is told once.
  const commands = all.filter((command, index) => all.findIndex(({ label }) => label === command.label) === index);
  const groups = [...new Set(commands.map((command) => command.group))];
  return (
    <Dialog title="Shortcuts" width="wide" onClose={onClose}>
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
        <Switch label="Use single-key shortcuts" className="text-small" on={singleKeys} turn={setSingleKeys} />
        <Button onClick={onClose}>Close</Button>
      </div>
    </Dialog>
  );
}
