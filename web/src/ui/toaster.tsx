import { Toaster as ChakraToaster, Toast, createToaster } from '@chakra-ui/react';

/** Short notes at the edge of the screen; each may carry one action, such as taking back. */
export const toaster = createToaster({
  placement: 'bottom-end',
  pauseOnPageIdle: true,
  max: 3,
  // On a phone above the bar, which it would cover.
  offsets: { top: '1rem', left: '1rem', right: '1rem', bottom: 'var(--above-the-bar, 1rem)' },
});

/** Where notes appear. */
export function Toaster() {
  return (
    <ChakraToaster toaster={toaster} insetInline={{ mdDown: '4' }}>
      {(toast) => (
        <Toast.Root width={{ md: 'sm' }} bg="ink" color="paper" alignItems="center" pe="14">
          <Toast.Title flex="1">{toast.title}</Toast.Title>
          {toast.action && <Toast.ActionTrigger minH="touch">{toast.action.label}</Toast.ActionTrigger>}
          <Toast.CloseTrigger minW="touch" minH="touch" />
        </Toast.Root>
      )}
    </ChakraToaster>
  );
}
