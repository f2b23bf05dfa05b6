const forms: readonly (readonly [string, string])[] = [
  ['25 h6 x 40', 'a row from end A: size x length; 32*60 and d32 x 60 too'],
  ['25 +0.05/0 x 40', 'its limits; also +/-0.1, -.001, h6, k6'],
  ['M12 x 18', 'a thread; M12x1.5 x 18, 1/2-13 x 3/4, G1/4 x 12'],
  ['20 x 30 c0.5 R2', 'its edges, the one nearer to A first'],
  ['20 > 15 x 30', 'a taper; 20 1:10 x 30, MT2 x 60, ball 20 x 18, hex 17 x 10'],
  ['bore 18 H8 x 22', 'a hole from end A; hole 7 through, ream 12 H7 through, tap M8x1 x 14'],
  ['B: tap M8 x 14', 'the same from end B'],
  ['25 x 30 knurl 1', 'cut in a row: hex 17, flats 20, groove 3 x 16 at 12, cross hole M5 at 10'],
  ['brass', 'the metal: brass, stainless 316, silver steel'],
  ['4 off', 'how many'],
];

/** What the line understands; opened by a question mark at its beginning. */
export function LineHelp({ onTake }: { readonly onTake: (form: string) => void }) {
  return (
    <section aria-label="What the line understands">
      <h2>What the line understands</h2>
      <p className="quiet">
        Pieces of it stand between semicolons, in any order but the rows, which go from end A to end B. Press one to begin with it.
      </p>
      <table className="plain">
        <tbody>
          {forms.map(([form, says]) => (
            <tr key={form}>
              <td className="text-nowrap">
                <button type="button" className="figure" onClick={() => onTake(form)}>
                  {form}
                </button>
              </td>
              <td className="quiet">{says}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
