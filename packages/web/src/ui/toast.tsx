import { create } from 'zustand';

interface Toast {
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}

const SHOWN_MS = 9000;

interface ToastState {
  readonly toast: Toast | null;
  readonly show: (toast: Toast) => void;
  readonly clear: () => void;
}

let timer: ReturnType<typeof setTimeout> | undefined;

/** One short message at a time, with a way back when something was taken away. */
export const useToast = create<ToastState>()((set) => ({
  toast: null,
  show: (toast) => {
    clearTimeout(timer);
    timer = setTimeout(() => set({ toast: null }), SHOWN_MS);
    set({ toast });
  },
  clear: () => set({ toast: null }),
}));

/** Where the message is shown. */
export function ToastPlace() {
  const { toast, clear } = useToast();
  return (
    <div role="status" className="pointer-events-none fixed inset-x-0 bottom-20 z-40 flex justify-center md:bottom-6">
      {toast && (
        <div className="pointer-events-auto flex items-center gap-4 bg-ink px-4 py-2.5 text-white shadow-lg">
          <span>{toast.text}</span>
          {toast.action && (
            <button
              type="button"
              className="font-semibold underline underline-offset-2 focus-visible:outline-white"
              onClick={() => {
                toast.action?.run();
                clear();
              }}
            >
              {toast.action.label}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
