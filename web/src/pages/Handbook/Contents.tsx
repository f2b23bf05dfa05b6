import { type Calculator, calculatorNamed, calculators, groups } from '@obra/core/handbook';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { NavLink, useNavigate, useSearchParams } from 'react-router';
import { Thumb } from './Thumb';

interface ContentsProps {
  readonly marks: { readonly pinned: readonly string[]; readonly recent: readonly string[] };
  readonly here?: string;
  readonly wide?: boolean;
}

/** The calculators in their groups, those pinned and opened last before them; a few letters filter them. */
export function Contents({ marks, here, wide = false }: ContentsProps) {
  const [text, setText] = useState('');
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const cell = search.get('for');
  const to = (id: string) => `/handbook/${id}${cell === null ? '' : `?for=${encodeURIComponent(cell)}`}`;
  const words = text
    .toLowerCase()
    .split(/\s+/)
    .filter((w) => w !== '');
  const fits = (c: Calculator) => words.every((w) => `${c.title} ${c.words} ${c.group}`.toLowerCase().includes(w));
  const known = (ids: readonly string[]) => ids.flatMap((id) => calculatorNamed(id) ?? []);
  const shown: readonly (readonly [name: string, of: readonly Calculator[]])[] =
    words.length > 0
      ? groups.map((g) => [g, calculators.filter((c) => c.group === g && fits(c))] as const)
      : [
          ['Pinned', known(marks.pinned)] as const,
          ['Opened last', known(marks.recent.filter((id) => id !== here && !marks.pinned.includes(id)))] as const,
          ...groups.map((g) => [g, calculators.filter((c) => c.group === g)] as const),
        ];
  const filled = shown.filter(([, of]) => of.length > 0);
  return (
    <nav aria-label="Calculators">
      <Form
        onSubmit={(e) => {
          e.preventDefault();
          const first = words.length > 0 ? filled[0]?.[1][0] : undefined;
          if (first) void navigate(to(first.id));
        }}>
        <Form.Control
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-label="Filter the calculators"
          placeholder="filter: tap, taper, bolt…"
          maxLength={60}
          autoFocus={wide}
          autoComplete="off"
        />
      </Form>
      {filled.length === 0 && <p className="quiet mt-2">Nothing by these words. Designations, such as M12 or 25 h6, are found with /.</p>}
      <div className={wide ? 'columns' : ''}>
        {filled.map(([name, of]) => (
          <section key={name}>
            <h2>{name}</h2>
            <ul>
              {of.map((c) => (
                <li key={c.id}>
                  <NavLink to={to(c.id)}>
                    {wide && <Thumb of={c} />}
                    <span>{c.title}</span>
                  </NavLink>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </nav>
  );
}
