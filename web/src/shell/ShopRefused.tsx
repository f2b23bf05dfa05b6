import { Link } from 'react-router';
import { useShop } from '../data/shopSession';
import { Notice } from './Notice';

/** Said on every page of work while something about the shop is not as a person left it. */
export function ShopRefused() {
  const { refused, says, dismiss, unread } = useShop();
  if (unread)
    return (
      <Notice>
        Your shop cannot be read and stays stored as it is; another stands in for now, and no change of it is stored.{' '}
        <Link to="/shop/machines">Shop</Link> repairs it or takes it out.
      </Notice>
    );
  if (says !== undefined) return <Notice onClose={dismiss}>{says}</Notice>;
  if (!refused) return null;
  return (
    <Notice>
      This browser did not store the last change of the shop (storage full or blocked). Work goes on here with it; it is tried again until it is
      stored.
    </Notice>
  );
}
