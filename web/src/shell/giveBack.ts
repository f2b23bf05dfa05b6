/** What hung on the page is closed: the cursor goes back to what opened it, unless a press has put it somewhere else meanwhile. */
export function giveBack(opener: HTMLElement | null): void {
  const now = document.activeElement;
  if (now === null || now === document.body || now.closest('.dropdown-menu')) opener?.focus();
}
