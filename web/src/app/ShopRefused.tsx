import { Notice } from './Notice';

/** Said while the last change of the shop is not stored. */
export const ShopRefused = ({ refused }: { readonly refused: boolean }) =>
  refused ? <Notice>This browser did not store the last change of the shop (storage full or blocked). Work goes on here with it.</Notice> : null;
