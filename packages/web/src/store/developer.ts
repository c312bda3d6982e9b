import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Developer {
  /** Whether simulated devices offer faults, to see what a screen makes of them. */
  readonly hasDeviceFaults: boolean;
}

/** What only those who build the product need, on this device. */
export const useDeveloper = create<Developer>()(persist((): Developer => ({ hasDeviceFaults: false }), { name: 'clay-pot-developer' }));
