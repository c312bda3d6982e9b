import { Disclosure as HeadlessDisclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';

interface Props {
  /** What it opens, as its button says. */
  title: ReactNode;
  open?: boolean;
  className?: string;
  buttonClassName?: string;
  children: ReactNode;
}

/** What is read now and then, one press behind its title. */
export function Disclosure({ title, open = false, className = '', buttonClassName = '', children }: Props) {
  return (
    <HeadlessDisclosure as="div" defaultOpen={open} className={className}>
      <DisclosureButton className={`group flex w-full cursor-pointer items-center gap-1 text-left ${buttonClassName}`}>
        <ChevronRight size={14} aria-hidden className="shrink-0 group-data-open:rotate-90" />
        <span className="min-w-0 flex-1">{title}</span>
      </DisclosureButton>
      <DisclosurePanel>{children}</DisclosurePanel>
    </HeadlessDisclosure>
  );
}
