import axe from 'axe-core';
import type { Page } from 'puppeteer-core';

/** What axe finds wrong on the page as it stands, a line each. */
export async function violations(page: Page): Promise<readonly string[]> {
  await page.evaluate(axe.source);
  return page.evaluate(async () => {
    const { axe } = window as unknown as { axe: { run: (options: unknown) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> } };
    const result = await axe.run({ resultTypes: ['violations'] });
    return result.violations.flatMap((v) => v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 160)}`));
  });
}

/** Text that is cut off, that lies over other text, or that makes the page scroll sideways; a line each. */
export function crowded(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const said: string[] = [];
    if (document.documentElement.scrollWidth > window.innerWidth + 1)
      said.push(`the page is ${String(document.documentElement.scrollWidth)} px wide`);
    if (document.documentElement.scrollHeight > window.innerHeight + 1)
      said.push(`the whole page scrolls: ${String(document.documentElement.scrollHeight)} px`);
    for (const area of document.querySelectorAll('.bench'))
      if (area.scrollWidth > area.clientWidth + 1) said.push(`the Bench is ${String(area.scrollWidth)} px wide`);
    const texts: { text: string; rect: DOMRect; of: Element }[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const of = node.parentElement;
      const text = node.textContent?.trim() ?? '';
      if (!of || text === '' || of.closest('script, style, option, .visually-hidden, [id^="DndLiveRegion"]')) continue;
      const style = getComputedStyle(of);
      // what a closed fold holds is not seen
      if (style.visibility === 'hidden' || !of.checkVisibility()) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) look(of, text, rect);
    }
    function look(of: Element, text: string, rect: DOMRect): void {
      if (rect.width < 1 || rect.height < 1) return;
      // set tighter than its font: the ink lies in the line that it is given
      const { lineHeight, fontSize } = getComputedStyle(of);
      const tighter = Math.max(0, rect.height - Math.max(parseFloat(lineHeight) || rect.height, parseFloat(fontSize))) / 2;
      let [left, right, top, bottom] = [rect.left, rect.right, rect.top + tighter, rect.bottom - tighter];
      for (let up: Element | null = of; up; up = up.parentElement) {
        const s = getComputedStyle(up);
        if (s.overflowX === 'visible' && s.overflowY === 'visible') continue;
        const box = up.getBoundingClientRect();
        const cut = box.right < right - 2 || box.left > left + 2;
        if (cut && s.overflowX === 'hidden' && s.textOverflow !== 'ellipsis' && up.tagName !== 'svg') said.push(`cut off: ${text.slice(0, 60)}`);
        [left, right, top, bottom] = [Math.max(left, box.left), Math.min(right, box.right), Math.max(top, box.top), Math.min(bottom, box.bottom)];
      }
      if (right - left < 3 || bottom - top < 3 || top > window.innerHeight) return;
      texts.push({ text, rect: new DOMRect(left, top, right - left, bottom - top), of });
    }
    texts.forEach((a, i) => {
      for (const b of texts.slice(i + 1)) {
        if (a.of === b.of) continue;
        const wide = Math.min(a.rect.right, b.rect.right) - Math.max(a.rect.left, b.rect.left);
        const tall = Math.min(a.rect.bottom, b.rect.bottom) - Math.max(a.rect.top, b.rect.top);
        // line boxes of neighbouring lines touch; only ink over ink counts
        if (wide > 3 && tall > 0.45 * Math.min(a.rect.height, b.rect.height))
          said.push(`over each other: ${a.text.slice(0, 40)} | ${b.text.slice(0, 40)}`);
      }
    });
    return [...new Set(said)];
  });
}

/** Cells and selects that hide the end of what stands in them; a line each. */
export function hiding(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const pen = document.createElement('canvas').getContext('2d');
    return [...document.querySelectorAll<HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement>('input, select, textarea')].flatMap((e) => {
      if (!e.checkVisibility() || !pen) return [];
      const style = getComputedStyle(e);
      pen.font = `${style.fontSize} ${style.fontFamily}`;
      const text = e instanceof HTMLSelectElement ? (e.selectedOptions[0]?.text ?? '') : e.value;
      const room = e.clientWidth - Number.parseFloat(style.paddingLeft) - Number.parseFloat(style.paddingRight);
      const hidden =
        e instanceof HTMLSelectElement
          ? pen.measureText(text).width > room + 1
          : e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 2;
      return hidden ? [`${e.getAttribute('aria-label') ?? e.id}: ${text}`] : [];
    });
  });
}

/** Nothing cut off, nothing overlapping, nothing that axe finds, at the three sizes a screen must stand at. */
export async function soundAt(page: Page): Promise<void> {
  for (const [width, height] of [
    [1280, 800],
    [1280, 680],
    [1024, 768],
  ] as const) {
    await page.setViewport({ width, height });
    expect(await crowded(page)).toEqual([]);
    expect(await violations(page)).toEqual([]);
  }
  await page.setViewport({ width: 1280, height: 800 });
}
