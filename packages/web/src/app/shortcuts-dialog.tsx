import { Link, useLocation } from 'react-router';
import { articleFor } from '../domain/terms/articles.js';
import { Button } from '../ui/button.js';
import { printKeys, useCommandState } from '../ui/commands.js';
import { Dialog } from '../ui/dialog.js';
import { Switch } from '../ui/switch.js';

/** How much of an article is shown above the keys. */
const FIRST_STEPS = 3;

/** What this screen is for, and every key that does something right now. */
export default function ShortcutsDialog({ onClose }: { onClose: () => void }) {
  const { active, singleKeys, setSingleKeys } = useCommandState();
  const all = [...active.values()].flat();
  // A command with two keys is listed once.
  const commands = all.filter((command, index) => all.findIndex(({ label }) => label === command.label) === index);
  const groups = [...new Set(commands.map((command) => command.group))];
  const { id, title, summary, steps } = articleFor(useLocation().pathname);
  return (
    <Dialog title="Help and shortcuts" width="wide" onClose={onClose}>
      <section aria-label="Help" className="mt-3 border-l-4 border-cobalt bg-cobalt-wash px-3 py-2">
        <h3 className="text-body">{title}</h3>
        <p>{summary}</p>
        <ul className="mt-1 list-disc pl-5 text-small">
          {steps.slice(0, FIRST_STEPS).map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ul>
        <p className="mt-1 flex flex-wrap gap-4 text-small">
          <Link className="underline" to={`/help/${id}`} onClick={onClose}>
            Read more
          </Link>
          <Link className="underline" to="/help" onClick={onClose}>
            Glossary
          </Link>
        </p>
      </section>
      {/* One group alone goes over both columns; of several each stays whole. */}
      <div className="mt-4 gap-8 sm:columns-2">
        {groups.map((group) => (
          <section key={group} className={`mb-5 ${groups.length > 1 ? 'break-inside-avoid' : ''}`}>
            <h3 className="border-b border-line pb-1 text-body">{group}</h3>
            <dl>
              {commands
                .filter((command) => command.group === group)
                .map((command) => (
                  <div key={command.keys} className="flex break-inside-avoid justify-between gap-4 py-1">
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
