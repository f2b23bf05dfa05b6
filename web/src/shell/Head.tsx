import { memo, type ReactNode } from 'react';
import { Moon, Sun } from 'lucide-react';
import { NavLink } from 'react-router';
import { swapScheme, useScheme } from './scheme';
import { useKeys } from './keys';
import { openFinder } from './offers';

const Doors = memo(function Doors({ bench }: { readonly bench: boolean }) {
  return (
    <>
      <NavLink className="name" to="/">
        Obra
      </NavLink>
      {!bench && (
        <nav aria-label="Doors">
          <NavLink to="/jobs">Jobs</NavLink>
          <NavLink to="/shop">Shop</NavLink>
          <NavLink to="/handbook">Handbook</NavLink>
          <NavLink to="/practice">Practice</NavLink>
          <NavLink to="/logbook">Logbook</NavLink>
        </nav>
      )}
    </>
  );
});

/** What finds anything, shows the keys, tells the words: seen, not only known. */
const Finds = memo(function Finds() {
  return (
    <div className="finds" role="group" aria-label="Help">
      <button type="button" aria-keyshortcuts="/" title="find anything (/)" onClick={() => openFinder('find')}>
        find
      </button>
      <button type="button" aria-keyshortcuts="?" title="the keys of this page (?)" onClick={() => openFinder('keys')}>
        keys
      </button>
      <NavLink to="/practice/words">words</NavLink>
    </div>
  );
});

/** Light or dark, by a press or a key. */
function Look() {
  const scheme = useScheme();
  useKeys('everywhere', { d: { says: 'light or dark', act: swapScheme } });
  return (
    <button
      type="button"
      className="look"
      aria-label={scheme === 'dark' ? 'light' : 'dark'}
      title={`${scheme === 'dark' ? 'light' : 'dark'} (d)`}
      onClick={swapScheme}>
      {scheme === 'dark' ? <Sun size={17} aria-hidden /> : <Moon size={17} aria-hidden />}
    </button>
  );
}

/** The one head line: the name, the doors that lead somewhere, then what belongs to the page. */
export function Head({ children, bench = false }: { readonly children?: ReactNode; readonly bench?: boolean }) {
  return (
    <header className="head noprint">
      <Doors bench={bench} />
      <Finds />
      <div className="right">
        {children}
        <Look />
      </div>
    </header>
  );
}
