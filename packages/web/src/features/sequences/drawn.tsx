import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react';
import type { Sequence } from '@clay-pot/core';
import { createContext, memo, type ReactNode, useState } from 'react';
import { AccountsPanel } from './accounts-panel.js';
import { CapacityPanel } from './capacity-panel.js';
import { PotPanel } from './pot-panel.js';
import type { SequenceView } from '../../domain/sequence/session-view.js';
import { WheelPanel } from '../../domain/sequence/wheel-panel.js';

const TABS = ['Pot', 'Wheel', 'Totals', 'Capacity'] as const;

interface Props {
  document: Sequence;
  seen: SequenceView;
  /** Stands above the sums. */
  children: ReactNode;
}

// The drawing reaches the open panel past the tabs, so that an edit doesn’t render the tabs again.
const Shown = createContext<Props>(null as never);

/** The sequence as a pot, as the wrist's circle, as sums, and as what it leaves of each muscle. */
export function Drawn(props: Props) {
  return (
    <Shown value={props}>
      <Tabs />
    </Shown>
  );
}

const Tabs = memo(function Tabs() {
  const [tab, setTab] = useState(0);
  return (
    <TabGroup selectedIndex={tab} onChange={setTab}>
      <TabList className="flex border-b-2 border-ink">
        {TABS.map((name) => (
          <Tab
            key={name}
            data-tab={name}
            className="px-2 py-0.5 text-small text-ink-soft hover:text-ink data-selected:bg-ink data-selected:font-semibold data-selected:text-white"
          >
            {name}
          </Tab>
        ))}
      </TabList>
      <TabPanels className="pt-2">
        <TabPanel>
          <Shown.Consumer>{({ seen }) => <PotPanel seen={seen} />}</Shown.Consumer>
        </TabPanel>
        <TabPanel>
          <Shown.Consumer>
            {({ seen: { view, subject } }) => <WheelPanel coverage={view.coverage} person={subject.person} athleteId={subject.athleteId} />}
          </Shown.Consumer>
        </TabPanel>
        <TabPanel className="grid gap-3">
          <Shown.Consumer>
            {({ seen: { view }, children }) => (
              <>
                {children}
                <AccountsPanel account={view.account} balance={view.balance} band={view.method.balanceBand} />
              </>
            )}
          </Shown.Consumer>
        </TabPanel>
        <TabPanel>
          <Shown.Consumer>{({ seen, document }) => <CapacityPanel seen={seen} document={document} />}</Shown.Consumer>
        </TabPanel>
      </TabPanels>
    </TabGroup>
  );
});
