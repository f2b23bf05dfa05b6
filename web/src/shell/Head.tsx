import { memo, type ReactNode } from 'react';
import { NavLink } from 'react-router';

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
          <NavLink to="/logbook">Logbook</NavLink>
        </nav>
      )}
    </>
  );
});

/** The one head line: the name, the doors that lead somewhere, then what belongs to the page. */
export function Head({ children, bench = false }: { readonly children?: ReactNode; readonly bench?: boolean }) {
  return (
    <header className="head noprint">
      <Doors bench={bench} />
      <div className="right">{children}</div>
    </header>
  );
}
