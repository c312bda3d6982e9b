import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { Ellipsis } from 'lucide-react';
import { Link } from 'react-router';
import { buttonLook } from './button.js';

interface Item {
  readonly name: string;
  readonly disabled?: boolean;
}

/** Something that leads to another screen, to a file, or does something here. */
export type MenuAction = Item & ({ readonly to: string } | { readonly download: string } | { readonly run: () => void });

interface Props {
  items: readonly MenuAction[];
  /** What more there is, for who hears the page: “More for Warm thumbs”. */
  label?: string;
  /** In a row of a table only three dots are shown. */
  compact?: boolean;
}

const ITEM = 'block w-full px-3 py-2 text-left data-disabled:opacity-45 data-focus:bg-ground';

/** What is wanted now and then, behind the one main action. */
export function MoreMenu({ items, label = 'More', compact = false }: Props) {
  return (
    <Menu>
      <MenuButton aria-label={label} className={compact ? buttonLook('quiet', 'px-2!') : buttonLook('plain', '')}>
        {compact ? <Ellipsis size={18} aria-hidden /> : 'More'}
      </MenuButton>
      <MenuItems
        modal={false}
        anchor={{ to: 'bottom end', gap: 4, padding: 8 }}
        className="z-40 min-w-44 border-2 border-ink bg-white shadow-lg outline-none"
      >
        {items.map((item) => (
          <MenuItem key={item.name} disabled={item.disabled ?? false}>
            {'to' in item ? (
              <Link to={item.to} className={ITEM}>
                {item.name}
              </Link>
            ) : 'download' in item ? (
              <a href={item.download} download className={ITEM}>
                {item.name}
              </a>
            ) : (
              <button type="button" className={ITEM} onClick={item.run}>
                {item.name}
              </button>
            )}
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
