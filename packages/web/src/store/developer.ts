import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface Developer {
  /** Whether simulated devices offer faults, to see what a screen makes of them. */
  readonly hasDeviceFaults: boolean;
  /** Whether a session lists what it says, and how far off its moment. */
  readonly showsVoiceLog: boolean;
}

/** What only those who build the product need, on this device. */
export const useDeveloper = create<Developer>()(
  persist((): Developer => ({ hasDeviceFaults: false, showsVoiceLog: false }), { name: 'clay-pot-developer' }),
);
