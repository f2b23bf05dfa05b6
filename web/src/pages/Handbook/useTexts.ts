import { type Calculator, type Field, type FromShop, startOf } from '@obra/core/handbook';
import type { Units } from '@obra/core/quantity';
import { useState } from 'react';
import { NavigationType, useLocation, useNavigationType, useSearchParams } from 'react-router';

interface Typed {
  readonly texts: Readonly<Record<string, string>>;
  /** what a bare length is in */
  readonly typedIn: Units;
}

const typedOf = (calculator: Calculator, search: URLSearchParams): Typed => ({
  texts: Object.fromEntries(Object.keys(calculator.fields).flatMap((f) => (search.has(f) ? [[f, search.get(f) ?? '']] : []))),
  typedIn: search.get('u') === 'in' ? 'in' : 'mm',
});

/**
 * The texts typed, and the address that follows them. The cells have them at once: an address is set in its own time, and letters
 * typed meanwhile would be lost. Another address from outside (a link, back, forward) is taken.
 */
export function useTexts(calculator: Calculator, shop: FromShop, units: Units) {
  const [search, setSearch] = useSearchParams();
  const [typed, setTyped] = useState(() => typedOf(calculator, search));
  const { key } = useLocation();
  const own = useNavigationType() === NavigationType.Replace;
  const [seen, setSeen] = useState(key);
  if (seen !== key) {
    setSeen(key);
    if (!own) setTyped(typedOf(calculator, search));
  }
  const put = (name: string, text: string) => {
    const texts: Record<string, string> = { ...typed.texts };
    // what stands in the other unit gets its unit written behind it before this one is typed in the unit of the page
    if (typed.typedIn !== units)
      for (const [other, old] of Object.entries(texts))
        if (other !== name) texts[other] = withUnit(old, calculator.fields[other]?.kind, typed.typedIn);
    texts[name] = text;
    setTyped({ texts, typedIn: units });
    const next = new URLSearchParams();
    for (const [field, asked] of Object.entries(calculator.fields)) {
      const now = texts[field];
      if (now !== undefined && !(units === 'mm' && now === startOf(asked, shop))) next.set(field, now);
    }
    if (units === 'in') next.set('u', 'in');
    const cell = search.get('for');
    if (cell !== null) next.set('for', cell);
    setSearch(next, { replace: true });
  };
  return { ...typed, put };
}

/** A length with its unit said, where it is bare; of a list each of them. */
const withUnit = (text: string, kind: Field['kind'] | undefined, units: Units): string =>
  kind === 'lengthList'
    ? text
        .split(';')
        .map((part) => withUnit(part, 'length', units))
        .join('; ')
    : kind === 'length' && isBare(text)
      ? `${text.trim()} ${units}`
      : text.trim();

const isBare = (text: string) =>
  text.trim() !== '' && !/(mm|in|inch|["”])\s*$/i.test(text) && !/^\s*[\d ]*\d+\/\d+\s*$/.test(text) && !/^\s*0+\s*$/.test(text);
