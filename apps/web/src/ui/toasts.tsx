import { Toaster } from 'sonner';

export function Toasts() {
  return (
    <Toaster
      position="bottom-center"
      // Above the tray, and above what stands at the foot of a phone.
      offset={92}
      mobileOffset={{ bottom: 72 }}
      duration={3500}
      style={{ fontFamily: 'inherit' }}
      toastOptions={{
        unstyled: true,
        classNames: {
          toast:
            'flex items-center gap-2 rounded-md border border-control bg-main text-inverse px-3 py-2 w-max max-w-[480px] mx-auto',
        },
      }}
    />
  );
}
