import '../shell/shell.css';
import { Component, type ReactNode, Suspense, useState } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import { Finder } from '../shell/Finder';
import { KeysProvider } from '../shell/keys';
import { AnyFile } from './AnyFile';
import { type Page, pages } from './pages';
import { Says } from '../shell/says';
import { StorageClosed } from '../shell/StorageClosed';
import { UnitsProvider } from '../shell/units';

/** A page as it is there; one that is not yet is waited for. */
function Of({ page }: { readonly page: Page }) {
  const [Shown] = useState(() => page.ready() ?? page.Lazy);
  return <Shown />;
}

/** What was read stays until it is changed here; one answer is the other only where it is the same object: comparing whole jobs and plans costs more than drawing them. */
const answers = { revalidateOnFocus: false, revalidateOnReconnect: false, shouldRetryOnError: false, compare: Object.is };

/** What every page stands in. */
export function Frame({ children }: { readonly children: ReactNode }) {
  return (
    <SWRConfig value={answers}>
      <UnitsProvider>
        <KeysProvider>{children}</KeysProvider>
      </UnitsProvider>
    </SWRConfig>
  );
}

export function App() {
  return (
    <Frame>
      <BrowserRouter>
        <Inside />
      </BrowserRouter>
    </Frame>
  );
}

/** The page of the address, and what every page has. */
export function Inside() {
  return (
    <AnyFile>
      <StorageClosed />
      <Kept>
        <Suspense fallback={null}>
          <Routes>
            <Route path="/" element={<Of key="Opening" page={pages.Opening} />} />
            <Route path="/dial" element={<Of key="DialQuestion" page={pages.DialQuestion} />} />
            <Route path="/jobs" element={<Of key="Jobs" page={pages.Jobs} />} />
            <Route path="/jobs/:id" element={<Navigate to="drawing" replace />} />
            <Route path="/jobs/:id/pack" element={<Of key="Pack" page={pages.Pack} />} />
            <Route path="/jobs/:id/:stage" element={<Of key="JobPage" page={pages.JobPage} />} />
            <Route path="/shop" element={<Navigate to="/shop/machines" replace />} />
            <Route path="/shop/:list" element={<Of key="Shop" page={pages.Shop} />} />
            <Route path="/handbook" element={<Of key="Handbook" page={pages.Handbook} />} />
            <Route path="/handbook/:id" element={<Of key="Handbook" page={pages.Handbook} />} />
            <Route path="/practice" element={<Of key="Practice" page={pages.Practice} />} />
            <Route path="/practice/:id" element={<Of key="Practice" page={pages.Practice} />} />
            <Route path="/guide" element={<Of key="Guide" page={pages.Guide} />} />
            <Route path="/logbook" element={<Of key="Logbook" page={pages.Logbook} />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
        <Finder />
      </Kept>
      <Says />
    </AnyFile>
  );
}

/** A screen that fails says so and leaves what is stored alone. */
class Kept extends Component<{ readonly children: ReactNode }, { readonly failed: string | undefined }> {
  override state: { readonly failed: string | undefined } = { failed: undefined };
  static getDerivedStateFromError(error: unknown) {
    return { failed: String(error) };
  }
  override render() {
    if (this.state.failed === undefined) return this.props.children;
    return (
      <main className="scroll">
        <h1>This screen stopped</h1>
        <p>What was stored is untouched. Open the page again; if it stops again, export the job from Jobs.</p>
        <p className="quiet fig">{this.state.failed}</p>
        <a href={`${import.meta.env.BASE_URL}jobs`}>Jobs</a>
      </main>
    );
  }
}
