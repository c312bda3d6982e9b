import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { Sequence } from '@clay-pot/core';
import { type ReactNode, useState } from 'react';
import { AccountsPanel } from './accounts-panel.js';
import { CapacityPanel } from './capacity-panel.js';
import { PotPanel } from './pot-panel.js';
import type { Seen } from './use-session-view.js';
import { WheelPanel } from './wheel-panel.js';

const TABS = ['Pot', 'Wheel', 'Sums', 'Capacity'] as const;

/** The sequence as a pot, as the wrist's circle, as sums, and as what it leaves of each muscle. @param children stand above the sums */
export function Drawn({ document, seen, children }: { document: Sequence; seen: Seen; children: ReactNode }) {
  const [tab, setTab] = useState(0);
  const { view, whom } = seen;
  return (
    <TabGroup selectedIndex={tab} onChange={setTab}>
      <TabList className="flex border-b-2 border-ink">
        {TABS.map((name) => (
          <Tab
            key={name}
            className="px-2 py-0.5 text-small text-ink-soft hover:text-ink data-selected:bg-ink data-selected:font-semibold data-selected:text-white"
          >
            {name}
          </Tab>
        ))}
      </TabList>
      <TabPanels className="pt-2">
        <TabPanel>
          <PotPanel seen={seen} />
        </TabPanel>
        <TabPanel>
          <WheelPanel coverage={view.coverage} person={whom.person} athleteId={whom.athleteId} />
        </TabPanel>
        <TabPanel className="grid gap-3">
          {children}
          <AccountsPanel account={view.account} balance={view.balance} band={view.method.balanceBand} />
        </TabPanel>
        <TabPanel>
          <CapacityPanel seen={seen} document={document} />
        </TabPanel>
      </TabPanels>
    </TabGroup>
  );
}
