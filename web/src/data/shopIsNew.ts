import { whenPrepared } from './config';
import { read } from './store';

/** Whether nobody has said yet what stands in this shop; asked when a demo has come in. A storage that does not open says nothing. */
export async function shopIsNew(): Promise<boolean> {
  await whenPrepared;
  try {
    return (await read('shop')) === null;
  } catch {
    return false;
  }
}
