import { thisWindow } from './ids';
import { locks } from './store';

/** Asked before the page is left: is there something of a person's that is neither stored nor in the journal? */
const unkept = new Set<() => boolean>();

/** What keeps work says here how to ask it. */
export const askedOnLeaving = (is: () => boolean): void => void unkept.add(is);

/** A cell that is being typed in is kept as if it were left; what is not stored is asked about. To be called once. */
export function watchLeaving(): void {
  living();
  const leaveCell = () => {
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  window.addEventListener('pagehide', leaveCell);
  window.addEventListener('beforeunload', (event) => {
    leaveCell();
    if ([...unkept].some((is) => is())) event.preventDefault();
  });
}

/** While a window lives it holds a lock of its name, let go when it is hidden for good; without locks none is known to live. */
function living(): void {
  let letGo: (() => void) | undefined;
  const hold = () => {
    const until = new Promise<void>((resolve) => {
      letGo = resolve;
    });
    void locks()
      ?.request(`window/${thisWindow}`, () => until)
      .catch(() => undefined);
  };
  hold();
  window.addEventListener('pagehide', () => letGo?.());
  window.addEventListener('pageshow', (event) => {
    if (event.persisted) hold();
  });
}
