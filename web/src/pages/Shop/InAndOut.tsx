import { SCHEMA, type Shop } from '@obra/core/document';
import { writeShopFile, writeShopTable } from '@obra/core/exchange';
import type { Units } from '@obra/core/quantity';
import { type ShopList, starts, tableOf } from '@obra/core/shop';
import { FileInput, FileOutput, Table } from 'lucide-react';
import { Dropdown } from 'react-bootstrap';
import { newId, now, thisBrowser } from '../../data/ids';
import type { OpenShop } from '../../data/shopSession';
import { download, fileName } from '../../shell/download';
import { useFiles } from '../../shell/files';
import { tell } from '../../shell/says';
import { takeIn } from './takeIn';

interface Props {
  readonly shop: Shop;
  readonly list: ShopList | undefined;
  readonly units: Units;
  readonly editShop: OpenShop['editShop'];
  readonly replace: OpenShop['replace'];
}

/** Tables and whole shops out as files and in again; a shop begun anew. */
export function InAndOut({ shop, list, units, editShop, replace }: Props) {
  const table = list && tableOf(list);
  const take = async (chosen: File) => {
    const taken = await takeIn(chosen, { shop, list, units, newId });
    if (taken.shop) replace(taken.shop);
    if (taken.edits) editShop(taken.edits);
    tell(taken.says);
  };
  const choose = useFiles('Table or shop file', '.csv,.tsv,.txt,.json,text/csv,application/json', take);
  return (
    <>
      <Dropdown align="end">
        <Dropdown.Toggle variant="outline-dark">in and out</Dropdown.Toggle>
        <Dropdown.Menu>
          {table && (
            <Dropdown.Item as="button" onClick={() => download(fileName(table.words, 'csv'), writeShopTable(shop, table.list), 'text/csv')}>
              <Table size={15} aria-hidden /> this table as CSV
            </Dropdown.Item>
          )}
          <Dropdown.Item
            as="button"
            onClick={() =>
              download(fileName('shop'), writeShopFile({ schema: SCHEMA, id: 'shop', revision: 1, saved: now(), by: thisBrowser(), shop }))
            }>
            <FileOutput size={15} aria-hidden /> the whole shop as a file
          </Dropdown.Item>
          <Dropdown.Item as="button" onClick={choose}>
            <FileInput size={15} aria-hidden /> take in a table or a shop
          </Dropdown.Item>
          <Dropdown.Divider />
          <Dropdown.Header>begin again with</Dropdown.Header>
          {starts.map(({ id, words, make }) => (
            <Dropdown.Item
              key={id}
              as="button"
              onClick={() => {
                replace(make());
                tell(`The shop is now ${words}, all of it assumed; undo brings back the one before.`);
              }}>
              {words}
            </Dropdown.Item>
          ))}
        </Dropdown.Menu>
      </Dropdown>
    </>
  );
}
