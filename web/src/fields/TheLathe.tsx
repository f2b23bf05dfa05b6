import { type ComponentProps, lazy, Suspense } from 'react';

// a dialog with its forms: loaded when it is opened
const LatheEditor = lazy(() => import('./LatheEditor').then((m) => ({ default: m.LatheEditor })));

/** The lathe as it stands, to be confirmed or changed. */
export const TheLathe = (props: ComponentProps<typeof LatheEditor>) => (
  <Suspense fallback={null}>
    <LatheEditor {...props} />
  </Suspense>
);
