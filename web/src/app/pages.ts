import { type ComponentType, lazy } from 'react';
import { part } from './part';

/** A page of the app: loaded when it is first wanted, once. */
export interface Page {
  readonly load: () => Promise<ComponentType>;
  /** the page itself once it is there */
  readonly ready: () => ComponentType | undefined;
  /** what waits for it */
  readonly Lazy: ComponentType;
}

function page(from: () => Promise<ComponentType>): Page {
  let asked: Promise<ComponentType> | undefined;
  let found: ComponentType | undefined;
  const load = () =>
    (asked ??= part(from).then((it) => {
      found = it;
      return it;
    }));
  return { load, ready: () => found, Lazy: lazy(async () => ({ default: await load() })) };
}

export const pages = {
  Opening: page(async () => (await import('../pages/Opening')).Opening),
  DialQuestion: page(async () => (await import('../pages/DialQuestion/index')).DialQuestion),
  Jobs: page(async () => (await import('../pages/Jobs/index')).Jobs),
  Handbook: page(async () => (await import('../pages/Handbook')).Handbook),
  Shop: page(async () => (await import('../pages/Shop')).Shop),
  Practice: page(async () => (await import('../pages/Practice')).Practice),
  Logbook: page(async () => (await import('../pages/Logbook')).Logbook),
  Guide: page(async () => (await import('../pages/Guide')).Guide),
  Pack: page(async () => (await import('../pages/Pack')).Pack),
  JobPage: page(async () => (await import('../pages/Job')).JobPage),
};

/**
 * The page of an address. The first of a visit is loaded before anything is drawn: what a waiting place shows in its stead would stay for a third of a second, however
 * soon the page comes.
 */
export function pageAt(path: string): Page {
  const [, first = '', , third] = path.split('/');
  const doors: Readonly<Record<string, Page>> = {
    dial: pages.DialQuestion,
    shop: pages.Shop,
    handbook: pages.Handbook,
    practice: pages.Practice,
    logbook: pages.Logbook,
    guide: pages.Guide,
  };
  if (first === 'jobs') return third === undefined ? pages.Jobs : third === 'pack' ? pages.Pack : pages.JobPage;
  return doors[first] ?? pages.Opening;
}
