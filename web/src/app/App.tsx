import '../shell/shell.css';
import { Component, lazy, type ReactNode, Suspense } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import { Finder } from '../shell/Finder';
import { KeysProvider } from '../shell/keys';
import { AnyFile } from './AnyFile';
import { part } from './part';
import { Says } from '../shell/says';
import { StorageClosed } from '../shell/StorageClosed';
import { UnitsProvider } from '../shell/units';

const Opening = lazy(() => part(() => import('../pages/Opening')).then((m) => ({ default: m.Opening })));
const DialQuestion = lazy(() => part(() => import('../pages/DialQuestion/index')).then((m) => ({ default: m.DialQuestion })));
const Jobs = lazy(() => part(() => import('../pages/Jobs/index')).then((m) => ({ default: m.Jobs })));
const Handbook = lazy(() => part(() => import('../pages/Handbook')).then((m) => ({ default: m.Handbook })));
const Shop = lazy(() => part(() => import('../pages/Shop')).then((m) => ({ default: m.Shop })));
const Practice = lazy(() => part(() => import('../pages/Practice')).then((m) => ({ default: m.Practice })));
const Logbook = lazy(() => part(() => import('../pages/Logbook')).then((m) => ({ default: m.Logbook })));
const Guide = lazy(() => part(() => import('../pages/Guide')).then((m) => ({ default: m.Guide })));
const Pack = lazy(() => part(() => import('../pages/Pack')).then((m) => ({ default: m.Pack })));
const JobPage = lazy(() => part(() => import('../pages/Job')).then((m) => ({ default: m.JobPage })));

/** What was read stays until it is changed here; one answer is the other only where it is the same object: comparing whole jobs and plans costs more than drawing them. */
const answers = { revalidateOnFocus: false, revalidateOnReconnect: false, shouldRetryOnError: false, compare: Object.is };

export function App() {
  return (
    <SWRConfig value={answers}>
      <UnitsProvider>
        <KeysProvider>
          <BrowserRouter>
            <AnyFile>
              <StorageClosed />
              <Kept>
                <Suspense fallback={null}>
                  <Routes>
                    <Route path="/" element={<Opening />} />
                    <Route path="/dial" element={<DialQuestion />} />
                    <Route path="/jobs" element={<Jobs />} />
                    <Route path="/jobs/:id" element={<Navigate to="drawing" replace />} />
                    <Route path="/jobs/:id/pack" element={<Pack />} />
                    <Route path="/jobs/:id/:stage" element={<JobPage />} />
                    <Route path="/shop" element={<Navigate to="/shop/machines" replace />} />
                    <Route path="/shop/:list" element={<Shop />} />
                    <Route path="/handbook" element={<Handbook />} />
                    <Route path="/handbook/:id" element={<Handbook />} />
                    <Route path="/practice" element={<Practice />} />
                    <Route path="/practice/:id" element={<Practice />} />
                    <Route path="/guide" element={<Guide />} />
                    <Route path="/logbook" element={<Logbook />} />
                    <Route path="*" element={<Navigate to="/" replace />} />
                  </Routes>
                </Suspense>
                <Finder />
              </Kept>
              <Says />
            </AnyFile>{' '}
          </BrowserRouter>
        </KeysProvider>
      </UnitsProvider>
    </SWRConfig>
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
