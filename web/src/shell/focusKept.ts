/*
 * The cursor of the keyboard goes on where it was when what it stood on is taken away: to the same place of the next line, to the next press, back to where one was
 * before a message. One place for all pages; a page that puts the cursor somewhere itself is not disturbed.
 */

const CAN_HAVE_IT = ['a[href]', 'button:not([disabled])', 'input:not([disabled])', 'select:not([disabled])', 'textarea:not([disabled])', '[tabindex]']
  .map((one) => `${one}:not([tabindex="-1"], [aria-hidden="true"])`)
  .join(', ');
/** What comes and goes by itself: closed, the cursor goes back. */
const PASSING = '.notice, .says';
/** How long after a press what it changed is on the page, ms: at once, or after storage has answered. */
const AFTER = [0, 60, 250, 700, 1500, 3000] as const;

interface Place {
  readonly parent: Element;
  readonly at: number;
}

interface Had {
  readonly element: Element;
  /** from the element outwards: in which parent it was, and the how-manieth child */
  readonly trail: readonly Place[];
  readonly passing: boolean;
}

const isSeen = (element: Element): boolean => element.getClientRects().length > 0;
const isHere = (element: Element): boolean => element.isConnected && !element.matches(':disabled') && isSeen(element);
const isTyped = (element: Element): boolean => element.matches('input:not([type="checkbox"], [type="radio"]), select, textarea');

function had(element: Element): Had {
  const trail: Place[] = [];
  for (let inner = element, parent = element.parentElement; parent; inner = parent, parent = parent.parentElement)
    trail.push({ parent, at: [...parent.children].indexOf(inner) });
  return { element, trail, passing: element.closest(PASSING) !== null };
}

/** Where the cursor goes on when what it was on is gone: the same place in what stands where it stood, else the nearest thing beside it. */
export function goesOnAt({ element, trail }: Had): HTMLElement | undefined {
  // from a press never into a cell: keys would be typed that were meant as presses
  const can = (one: Element | undefined): one is HTMLElement =>
    one instanceof HTMLElement && one !== element && one.matches(CAN_HAVE_IT) && isSeen(one) && (isTyped(element) || !isTyped(one));
  const gone = trail.findIndex(({ parent }) => parent.isConnected);
  for (const [i, { parent, at }] of trail.slice(Math.max(0, gone)).entries()) {
    const path = trail.slice(0, Math.max(0, gone) + i).toReversed();
    const beside = [parent.children[at], parent.children[at + 1], parent.children[at - 1]].flatMap((c) =>
      c === undefined || c === element ? [] : [c],
    );
    for (const near of beside) {
      const same = path.reduce<Element | undefined>((inner, step) => inner?.children[step.at], near);
      if (can(same)) return same;
    }
    for (const near of beside) {
      const first = [near, ...near.querySelectorAll(CAN_HAVE_IT)].find(can);
      if (first) return first;
    }
    if (parent.matches('main, .page')) break;
  }
  const head = document.querySelector('main h1') ?? document.querySelector('main');
  if (!(head instanceof HTMLElement)) return undefined;
  if (!head.hasAttribute('tabindex')) head.tabIndex = -1;
  return head;
}

let looking = false;

/** Begins to look after the cursor, once for the page. */
export function keepFocus(): void {
  if (looking) return;
  looking = true;
  let last = document.activeElement && document.activeElement !== document.body ? had(document.activeElement) : undefined;
  let before: Element | undefined;
  const took = ({ target }: Event) => {
    if (!(target instanceof Element) || target === document.body) return;
    if (last && !last.passing && last.element !== target) before = last.element;
    last = had(target);
  };
  const mend = () => {
    const on = document.activeElement;
    if ((on && on !== document.body && isHere(on)) || !last || isHere(last.element)) return;
    const back = last.passing && before && isHere(before) && before instanceof HTMLElement ? before : undefined;
    (back ?? goesOnAt(last))?.focus({ preventScroll: true });
  };
  let timers: ReturnType<typeof setTimeout>[] = [];
  const soon = () => {
    for (const timer of timers) clearTimeout(timer);
    timers = AFTER.map((ms) => setTimeout(mend, ms));
  };
  document.addEventListener('focusin', took);
  document.addEventListener('click', soon);
  document.addEventListener('keyup', soon);
}
