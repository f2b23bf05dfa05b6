/*
 * The opening page as it stands before its script does: `opening.html` of the build holds it as markup, so that it is seen with its sheet. This runs first, before
 * anything is painted. What is typed or pressed meanwhile is not lost: the page that comes takes it over.
 */
import { cautioned } from './cautioned';
import { wear } from './look';
import { STILL } from './stillName';

// in the build, which makes the markup, there is none
const still = typeof document === 'undefined' ? null : document.getElementById(STILL);
let line = still?.querySelector('input');
let pressed: string | undefined;

/** How long the first painting is waited for, ms. */
const UNPAINTED = 200;

/** What a button is told by. */
const nameOf = (button: Element): string => button.getAttribute('aria-label') ?? button.textContent;

const press = ({ target }: Event) => {
  const button = target instanceof Element ? target.closest('button') : null;
  if (button) pressed = nameOf(button);
};

if (still) {
  wear();
  if (cautioned()) still.dataset['cautioned'] = '';
  still.addEventListener('click', press);
  // the app is begun when this is painted; a page that is not looked at paints nothing
  const begin = () => {
    // one that does not come is told of by the page that stands
    import(/* @vite-ignore */ still.dataset['app'] ?? '').catch(() => undefined);
  };
  requestAnimationFrame(() => setTimeout(begin));
  setTimeout(begin, UNPAINTED);
}

/** What was typed is taken by the page that stands in its place now, and what was pressed is pressed again; once. */
export function takeOver(take: (typed: string) => void): void {
  const [typed, name] = [line?.value ?? '', pressed];
  line = pressed = undefined;
  if (typed !== '') take(typed);
  if (name !== undefined) [...document.querySelectorAll('button')].find((button) => nameOf(button) === name)?.click();
}
