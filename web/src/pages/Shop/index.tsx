import './shop.css';
import { parseShop, SCHEMA, type Shop as ShopOf } from '@obra/core/document';
import { readShopTable, writeShopFile, writeShopTable } from '@obra/core/exchange';
import { type Edit, gravestFirst } from '@obra/core/finding';
import { type Units, writeSentence } from '@obra/core/quantity';
import { itemsOf, midShop, readoutShop, type ShopItem, type ShopList, shopProblems, shopTables, startingShop, tableOf, ways } from '@obra/core/shop';
import { useMemo, useRef, useState } from 'react';
import { Button, Dropdown, Form } from 'react-bootstrap';
import { NavLink, useParams } from 'react-router';
import { download, fileName } from '../../app/download';
import { Head } from '../../app/Head';
import { useKeys } from '../../app/keys';
import { Notice } from '../../app/Notice';
import { useUnits } from '../../app/units';
import { useTitle } from '../../app/useTitle';
import { newId, now, thisBrowser } from '../../data/ids';
import { type OpenShop, useShop } from '../../data/shopSession';
import type { UnreadShop } from '../../data/shopStore';
import { Checks } from '../../slate';
import { ItemTable, MachineTable } from './ItemTable';
import { Learn } from './Learn';
import { Ways } from './Ways';

const TOO_LARGE = 5_000_000;
const starts: readonly (readonly [words: string, make: () => ShopOf])[] = [
  ['a small bench lathe, in inches', startingShop],
  ['a mid-size metric lathe', midShop],
  ['a larger lathe with readout', readoutShop],
];

/** What stands in this shop, table by table, and how it likes to work. */
export function Shop() {
  const { list: named = '' } = useParams();
  const list = shopTables.find((t) => t.list === named)?.list;
  useTitle('Shop');
  const { shop, editShop, replace, undo, redo, canUndo, canRedo, refused, saving, says: shopSays, dismiss, unread, mend } = useShop();
  const cross = shop?.machines[0]?.dials.cross?.division.units ?? 'mm';
  const { units, swap } = useUnits(cross);
  const [says, setSays] = useState<string>();
  const [find, setFind] = useState('');
  const [learning, setLearning] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  useKeys(useMemo(() => ({ 'Ctrl+z': undo, 'Ctrl+Shift+z': redo, 'Ctrl+y': redo, u: swap }), [undo, redo, swap]));
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
  const wanted = find.trim().toLowerCase();
  const shown = wanted === '' ? items : items.filter((i) => JSON.stringify(i).toLowerCase().includes(wanted));
  const put = (to: ShopList, item: ShopItem): Edit => ({ op: 'put', at: `${to}/#${item.id}`, value: item });
  const add = (to: ShopList, item: ShopItem) => {
    editShop([put(to, item)]);
    requestAnimationFrame(() => document.querySelector<HTMLInputElement>(`[data-item="${item.id}"] input, .turned td:last-child input`)?.select());
  };
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    if (chosen.size > TOO_LARGE) {
      setSays(`${chosen.name} is ${Math.round(chosen.size / 1e6)} MB; a shop is far smaller. Nothing was changed.`);
      return;
    }
    const text = await chosen.text();
    if (/^\s*\{/.test(text)) takeShop(chosen.name, text);
    else if (list) takeTable(chosen.name, text, list);
    else setSays('Open the table that the file belongs to first. Nothing was changed.');
  };
  const takeShop = (name: string, text: string) => {
    let raw: unknown;
    try {
      raw = JSON.parse(text);
    } catch {
      setSays(`${name} is not a whole JSON file. Nothing was changed.`);
      return;
    }
    const parsed = parseShop(raw);
    if (!parsed.ok) {
      setSays(`${name}: ${writeSentence(parsed.problems[0]?.says ?? [], units)}. Nothing was changed.`);
      return;
    }
    replace(parsed.value);
    setSays(`The shop is that of ${name} now; undo brings back the one before.`);
  };
  const takeTable = (name: string, text: string, to: ShopList) => {
    const read = readShopTable(text, to, shop, units, newId);
    if (!read.ok) {
      setSays(`${name}: ${writeSentence(read.problems[0]?.says ?? [], units)}. Nothing was changed.`);
      return;
    }
    const { items: taken, problems: left } = read.value;
    if (taken.length > 0) editShop(taken.map((i) => put(to, i)));
    const more =
      left.length > 0
        ? ` Not understood, and left as it was: ${left
            .slice(0, 3)
            .map((s) => writeSentence(s, units))
            .join('; ')}${left.length > 3 ? `; and ${left.length - 3} more` : ''}.`
        : '';
    setSays(`${taken.length} ${taken.length === 1 ? 'line' : 'lines'} of ${name} taken.${more}`);
  };
  const here = problems.filter((p) => list && p.mends.length + 1 > 0 && items.some((i) => p.about.startsWith(`${i.id}.`)));
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
      {says !== undefined && <Notice onClose={() => setSays(undefined)}>{says}</Notice>}
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
        <div className="d-flex gap-2 align-items-center mb-2 flex-wrap">
          <h1 className="me-auto">{table?.words ?? 'Ways of working'}</h1>
          {table?.list === 'machines' && shop.machines[0] && (
            <Button variant="outline-dark" onClick={() => setLearning(true)}>
              learn this lathe
            </Button>
          )}
          {table && table.list !== 'machines' && (
            <Form.Control
              className="fig"
              style={{ width: 170 }}
              aria-label={`Find in ${table.words}`}
              placeholder="find"
              value={find}
              onChange={(e) => setFind(e.target.value)}
            />
          )}
          {table && <Button onClick={() => add(table.list, { ...table.blank, id: newId() })}>add a {table.one}</Button>}
          <Dropdown align="end">
            <Dropdown.Toggle variant="outline-dark">in and out</Dropdown.Toggle>
            <Dropdown.Menu>
              {table && (
                <Dropdown.Item as="button" onClick={() => download(fileName(table.words, 'csv'), writeShopTable(shop, table.list), 'text/csv')}>
                  this table as CSV
                </Dropdown.Item>
              )}
              <Dropdown.Item
                as="button"
                onClick={() =>
                  download(fileName('shop'), writeShopFile({ schema: SCHEMA, id: 'shop', revision: 1, saved: now(), by: thisBrowser(), shop }))
                }>
                the whole shop as a file
              </Dropdown.Item>
              <Dropdown.Item as="button" onClick={() => file.current?.click()}>
                take in a table or a shop
              </Dropdown.Item>
              <Dropdown.Divider />
              <Dropdown.Header>begin again with</Dropdown.Header>
              {starts.map(([words, make]) => (
                <Dropdown.Item
                  key={words}
                  as="button"
                  onClick={() => {
                    replace(make());
                    setSays(`The shop is now ${words}, all of it assumed; undo brings back the one before.`);
                  }}>
                  {words}
                </Dropdown.Item>
              ))}
            </Dropdown.Menu>
          </Dropdown>
          <input
            ref={file}
            type="file"
            accept=".csv,.tsv,.txt,.json,text/csv,application/json"
            hidden
            aria-label="Table or shop file"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </div>
        {here.length > 0 && (
          <div className="shop-checks">
            <Checks findings={here} units={units} apply={(edits) => editShop(edits)} />
          </div>
        )}
        {table && items.length === 0 && <p>Nothing here yet: add a {table.one}, or take in a table.</p>}
        {table && items.length > 0 && shown.length === 0 && <p>Nothing here has “{find.trim()}” in it.</p>}
        {table && shown.length > 0 && (
          <Table
            key={units}
            {...{ table, units }}
            items={shown}
            onChange={(item: ShopItem) => editShop([put(table.list, item)])}
            onCopy={(item: ShopItem) => add(table.list, { ...item, id: newId(), name: `${item.name} (copy)` })}
            onDelete={(item: ShopItem) => {
              editShop([{ op: 'remove', at: `${table.list}/#${item.id}` }]);
              setSays(`${item.name} is taken out; undo puts it back.`);
            }}
          />
        )}
        {table && (
          <p className="quiet mt-2">
            Dotted: assumed until you type over it or say that it is right. Enter goes to the next line. A length may carry its own unit: 13/16 in, 20
            mm.
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

/** The stored shop cannot be read: what is wrong, and the two ways on. Until one is taken it stays as it is. */
function UnreadCard({ unread, units, mend }: { readonly unread: UnreadShop; readonly units: Units; readonly mend: OpenShop['mend'] }) {
  const { salvage } = unread;
  const out = salvage?.out.length ?? 0;
  const refused = useRef<HTMLSpanElement>(null);
  const act = (how: 'repair' | 'takeOut') =>
    void mend(how).catch(() => {
      if (refused.current) refused.current.textContent = 'This browser did not store it; the shop stays as it is. ';
    });
  return (
    <section className="notice d-block" role="alert" aria-label="The shop cannot be read">
      <p className="mb-1">
        {out > 0 ? 'Lines of your shop cannot be read.' : `Your shop cannot be read: ${writeSentence(unread.says, units)}.`} It stays stored as it is.{' '}
        {salvage
          ? 'What can be read of it is shown; no change is stored until you choose.'
          : 'The starting shop is shown; no change is stored until you choose.'}
      </p>
      {salvage && out > 0 && (
        <ul className="mb-1">
          {salvage.out.slice(0, 6).map((o, i) => (
            <li key={i}>{writeSentence(o.says, units)}</li>
          ))}
        </ul>
      )}
      <span ref={refused} />
      {salvage && (
        <Button className="me-2 mb-1" onClick={() => act('repair')}>
          {out > 0 ? `repair it: ${out} ${out === 1 ? 'line goes' : 'lines go'} out` : 'repair it'}
        </Button>
      )}
      <Button variant="outline-dark" className="me-2 mb-1" onClick={() => download(fileName('shop as it was'), JSON.stringify(unread.raw, null, 1))}>
        export it as it is
      </Button>
      <Button variant="outline-dark" className="mb-1" onClick={() => act('takeOut')}>
        take it out and begin again
      </Button>
      <p className="quiet mt-1 mb-0">Either way the one that cannot be read is kept under “Set aside” in Jobs.</p>
    </section>
  );
}

const Table = (props: Parameters<typeof ItemTable>[0]) => (props.table.list === 'machines' ? <MachineTable {...props} /> : <ItemTable {...props} />);
