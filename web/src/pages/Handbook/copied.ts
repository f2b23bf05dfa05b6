/** Puts a text on the clipboard; false where the browser does not let a page do so (plain HTTP from another device). */
export async function copied(text: string): Promise<boolean> {
  if (!('clipboard' in navigator)) return false;
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}
