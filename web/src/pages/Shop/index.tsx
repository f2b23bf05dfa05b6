import './shop.css';
import { gravestFirst } from '@obra/core/finding';
import { fillHoldings, fillTools, itemsOf, type ShopItem, type ShopList, shopProblems, shopTables, tableOf, ways } from '@obra/core/shop';
import { Plus } from 'lucide-react';
import { type FocusEvent, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { NavLink, useParams } from 'react-router';
import { Head } from '../../shell/Head';
import { useKeys } from '../../shell/keys';
import { tell } from '../../shell/says';
import { Notice } from '../../shell/Notice';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { newId } from '../../data/ids';
import { useShop } from '../../data/shopSession';
import { Checks } from '../../slate';
import { ItemTable, MachineTable } from './ItemTable';
import { Learn } from './Learn';
import { putItem } from './takeIn';
import { FillCell } from './FillCell';
import { ToolPicture } from './ToolPicture';
import { InAndOut } from './InAndOut';
import { UnreadCard } from './UnreadCard';
import { Ways } from './Ways';
import { unitsSwap } from '../../words/keys';

/** What stands in this shop, table by table, and how it likes to work. */
export function Shop() {
  const { list: named = '' } = useParams();
  const list = shopTables.find((t) => t.list === named)?.list;
  useTitle('Shop');
  const { shop, editShop, replace, undo, redo, canUndo, canRedo, refused, saving, says: shopSays, dismiss, unread, mend } = useShop();
  const cross = shop?.machines[0]?.dials.cross?.division.units ?? 'mm';
  const { units, swap } = useUnits(cross);
  const [learning, setLearning] = useState(false);
  const [inHand, setInHand] = useState<string>();
  const takeInHand = (e: FocusEvent) => setInHand(e.target.closest<HTMLElement>('[data-item]')?.dataset['item']);
  useKeys('shop', { 'mod+z': { says: 'undo', act: undo }, 'mod+shift+z, mod+y': { says: 'redo', act: redo } });
  useKeys('everywhere', { u: { says: unitsSwap, act: swap } });
  const problems = useMemo(() => (shop ? gravestFirst(shopProblems(shop)) : []), [shop]);
  if (!shop)
    return (
      <div className="page">
        <Head />
        <main className="scroll">
          <h1>Shop</h1>
          <p className="quiet">Opening what is stored.</p>
        </main>
      </div>
    );
  const table = list && tableOf(list);
  const items = list ? itemsOf(shop, list) : [];
  const add = (to: ShopList, item: ShopItem) => {
    editShop([putItem(to, item)]);
    requestAnimationFrame(() => document.querySelector<HTMLInputElement>(`[data-item="${item.id}"] input, .turned td:last-child input`)?.select());
  };
  const here = problems.filter((p) => list && p.mends.length + 1 > 0 && items.some((i) => p.about.startsWith(`${i.id}.`)));
  const machines = table?.list === 'machines';
  const of = {
    items,
    units,
    onPut: (put: readonly ShopItem[]) => {
      if (table) editShop(put.map((item) => putItem(table.list, item)));
    },
    blank: (): ShopItem => ({ ...(table ?? tableOf('tools')).blank, id: newId() }),
    onCopy: (item: ShopItem) => {
      if (table) add(table.list, { ...item, id: newId(), name: `${item.name} (copy)` });
    },
    onDelete: (item: ShopItem) => {
      if (!table) return;
      const before = items[items.findIndex((i) => i.id === item.id) + 1]?.id;
      editShop([{ op: 'remove', at: `${table.list}/#${item.id}` }]);
      // that very line, whatever was typed since
      tell(`${item.name} is taken out; undo puts it back.`, () =>
        editShop([{ ...putItem(table.list, item), ...(before !== undefined && { before }) }]),
      );
    },
  };
  /** Down the list it comes after the line that it is set on, up the list before it. */
  const onMove = (id: string, to: string) => {
    if (!table) return;
    const [from, at] = [items.findIndex((i) => i.id === id), items.findIndex((i) => i.id === to)];
    const item = items[from];
    const before = items[from < at ? at + 1 : at]?.id;
    if (item)
      editShop([
        { op: 'remove', at: `${table.list}/#${id}` },
        { ...putItem(table.list, item), ...(before !== undefined && { before }) },
      ]);
  };
  const tools = (
    <>
      {machines && shop.machines[0] && (
        <Button variant="outline-dark" onClick={() => setLearning(true)}>
          learn this lathe
        </Button>
      )}
      {table && (
        <Button onClick={() => add(table.list, of.blank())}>
          <Plus size={16} aria-hidden /> add a {table.one}
        </Button>
      )}
      <InAndOut {...{ shop, list, units, editShop, replace }} />
    </>
  );
  return (
    <div className="page">
      <Head>
        <Button variant="link" onClick={swap} title="u">
          {units}
        </Button>
        <span className="quiet" data-testid="saved">
          {refused ? 'not saved' : saving ? 'saving' : 'saved'}
        </span>
        <Button variant="link" disabled={!canUndo} onClick={undo}>
          undo
        </Button>
        <Button variant="link" disabled={!canRedo} onClick={redo}>
          redo
        </Button>
      </Head>
      {unread && <UnreadCard unread={unread} units={units} mend={mend} />}
      {shopSays !== undefined && <Notice onClose={dismiss}>{shopSays}</Notice>}
      {refused && !unread && (
        <Notice>
          This browser did not store the last change of the shop (storage full or blocked). It is tried again; take the shop out as a file to keep it.
        </Notice>
      )}
      <nav className="shop-lists" aria-label="Tables of the shop">
        {shopTables.map((t) => (
          <NavLink key={t.list} to={`/shop/${t.list}`}>
            {t.words} <small>{itemsOf(shop, t.list).length}</small>
          </NavLink>
        ))}
        <NavLink to="/shop/ways">
          Ways of working <small>{ways.length}</small>
        </NavLink>
      </nav>
      <main className="scroll shop">
        {here.length > 0 && (
          <div className="shop-checks">
            <Checks findings={here} units={units} apply={(edits) => editShop(edits)} />
          </div>
        )}
        {!table || machines || items.length === 0 ? (
          <div className="d-flex gap-2 align-items-center mb-2 flex-wrap">
            <h1 className="me-auto">{table?.words ?? 'Ways of working'}</h1>
            {tools}
          </div>
        ) : null}
        {table?.list === 'tools' && (
          <FillCell
            of={(text) => fillTools(text, units, shop.tools)}
            one="tool"
            such="drills 1 to 10 by 0.1 · number drills · letter drills · fraction drills · taps M3-M12 · dies UNC #4 to 1/2 · reamers 3 to 12 by 1 · countersinks 60 82 90"
            placeholder="drills 1 to 10 by 0.1"
            units={units}
            onFill={(set) => {
              editShop(set.map((tool) => putItem('tools', { ...tool, id: newId() })));
              tell(
                `${String(set.length)} ${set.length === 1 ? 'tool is' : 'tools are'} in the drawer; what is dotted is assumed until it is measured.`,
              );
            }}
          />
        )}
        {table?.list === 'holdings' && (
          <FillCell
            of={(text) => fillHoldings(text, units, shop.holdings)}
            one="set"
            such="5C collets by 1/16 · ER32 collets by 1 · collets 1/8 to 3/4 by 1/16"
            placeholder="5C collets by 1/16"
            units={units}
            onFill={(set) => {
              editShop(set.map((holding) => putItem('holdings', { ...holding, id: newId() })));
              tell('The set is in the shop; how true, fast and stiff it is, is assumed until it is said.');
            }}
          />
        )}
        {table && items.length === 0 && <p>Nothing here yet: add a {table.one}, or take in a table.</p>}
        {table &&
          items.length > 0 &&
          (machines ? (
            <MachineTable {...of} onMove={onMove} table={table} />
          ) : (
            <div className="in-hand" onFocusCapture={takeInHand}>
              <ItemTable key={table.list} {...of} onMove={onMove} table={table} title={<h1>{table.words}</h1>} tools={tools} />
            </div>
          ))}
        {table?.list === 'tools' && <ToolPicture tool={shop.tools.find((t) => t.id === inHand)} machine={shop.machines[0]} units={units} />}
        {table && (
          <p className="quiet mt-2">
            Dotted: assumed until you type over it or say that it is right. Enter goes to the next line. A length may carry its own unit: 13/16 in, 20
            mm.{machines ? '' : ' Cells copied out of a spreadsheet are pasted from the chosen cell on.'}
          </p>
        )}
        {!table && <Ways shop={shop} onChoose={(key, value) => editShop([{ op: 'put', at: `ways/${key}`, value }])} />}
      </main>
      {learning && shop.machines[0] && (
        <Learn machine={shop.machines[0]} shop={shop} units={units} onKeep={editShop} onClose={() => setLearning(false)} />
      )}
    </div>
  );
}
