import { capOf, useListedKeys } from './keys';

/** The keys that act on this page, as they are registered, by where they act. */
export function KeyList() {
  const keys = useListedKeys();
  return (
    <div className="keys">
      {[...new Set(keys.map((k) => k.scope))].map((scope) => (
        <table key={scope} className="plain" aria-label={scope}>
          <caption>{scope}</caption>
          <tbody>
            {keys
              .filter((k) => k.scope === scope)
              .map(({ says, keys: some }) => (
                <tr key={says} data-keys={some.join(' ')} data-scope={scope}>
                  <td className="fig">{[...new Set(some.map(capOf))].join(', ')}</td>
                  <td>{says}</td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}
